import { expect, test } from '@playwright/test';
import { signIn } from './signedIn';

interface Manifest {
  name: string;
  start_url: string;
  display: string;
  icons: { src: string; sizes: string; type: string }[];
  shortcuts: { name: string; url: string }[];
}

test('the application can be put on a home screen, with entries that lead where they say', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/today');
  const address = (await page.locator('link[rel=manifest]').getAttribute('href'))!;
  const manifest = (await (await page.request.get(address)).json()) as Manifest;
  expect(manifest).toMatchObject({ name: 'Fair Quill', display: 'standalone', start_url: '/today' });
  // Each icon is there, and as large as it says.
  for (const { src, sizes, type } of manifest.icons) {
    expect((await page.request.get(src)).headers()['content-type']).toBe(type);
    if (sizes === 'any') continue;
    const drawn = await page.evaluate(async (address) => {
      const image = new Image();
      image.src = address;
      await image.decode();
      return `${image.naturalWidth}x${image.naturalHeight}`;
    }, src);
    expect(drawn).toBe(sizes);
  }
  for (const { url } of manifest.shortcuts) expect((await page.request.get(url)).ok(), url).toBe(true);

  // “Write to …” opens the palette, once.
  await page.goto(manifest.shortcuts.find(({ name }) => name === 'Write to …')!.url);
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  await expect(palette.getByRole('combobox')).toBeFocused();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Go to …' })).toBeVisible();
  await expect(palette).toHaveCount(0);
});
