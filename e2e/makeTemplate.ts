import { expect, type Page } from '@playwright/test';

/** Makes a template, and its group where there is none; gives its key. */
export async function makeTemplate(
  page: Page,
  name: string,
  group: string,
  startsFrom = 'client',
): Promise<string> {
  const headers = { origin: process.env.BASE_URL! };
  const groups = await page.request.post('/api/groups', { data: { name: group }, headers });
  const key = groups.ok()
    ? ((await groups.json()) as { key: string }).key
    : group.toLowerCase().replaceAll(' ', '-');
  const answer = await page.request.post('/api/templates', {
    data: { name, startsFrom, group: key },
    headers,
  });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { key: string }).key;
}

/** Keeps words as the next version of a template, behind the one that stands. */
export async function keepVersion(page: Page, key: string, standing: number, text: string): Promise<void> {
  const answer = await page.request.post(`/api/templates/${key}`, {
    data: { version: standing, text },
    headers: { origin: process.env.BASE_URL! },
  });
  expect(answer.ok()).toBe(true);
}
