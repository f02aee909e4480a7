import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { NoPicture, scalePicture } from './scalePicture';

const plain = (width: number, height: number, channels: 3 | 4 = 3) =>
  sharp({ create: { width, height, channels, background: { r: 200, g: 40, b: 40, alpha: 0.5 } } });

describe('a picture that is brought in', () => {
  it('is scaled to what a letter shows, and a small one stays as it is', async () => {
    const large = await scalePicture(await plain(4000, 3000).jpeg().toBuffer());
    expect(large).toMatchObject({ type: 'image/jpeg', width: 1240, height: 930 });
    expect(await scalePicture(await plain(90, 40).jpeg().toBuffer())).toMatchObject({
      width: 90,
      height: 40,
    });
  });

  it('stands upright, and keeps nothing of what a camera wrote into it', async () => {
    const lying = await plain(400, 300)
      .jpeg()
      .withExif({ IFD0: { Copyright: 'whoever' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const { content, width, height } = await scalePicture(lying);
    expect([width, height]).toEqual([300, 400]);
    const { exif, orientation } = await sharp(content).metadata();
    expect([exif, orientation]).toEqual([undefined, undefined]);
  });

  it('that is drawn or seen through stays sharp; another kind becomes one that mail shows', async () => {
    expect(await scalePicture(await plain(50, 50, 4).png().toBuffer())).toMatchObject({ type: 'image/png' });
    expect(await scalePicture(await plain(50, 50, 4).webp().toBuffer())).toMatchObject({ type: 'image/png' });
    expect(await scalePicture(await plain(50, 50).webp().toBuffer())).toMatchObject({ type: 'image/jpeg' });
  });

  it('is cropped as it is seen', async () => {
    const crop = { left: 0.25, right: 0.25, top: 0, bottom: 0.5 };
    expect(await scalePicture(await plain(400, 200).png().toBuffer(), { crop })).toMatchObject({
      width: 200,
      height: 100,
    });
  });

  it.each([
    ['a page', async () => Buffer.from('<html><script>alert(1)</script></html>'), 'This is no picture'],
    [
      'a drawing that may hold scripts',
      async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
      'This is no picture',
    ],
    ['nothing', async () => Buffer.alloc(0), 'This is no picture'],
    ['half a picture', async () => (await plain(400, 300).png().toBuffer()).subarray(0, 60), 'is damaged'],
    ['a telephone’s own kind', async () => Buffer.from('\0\0\0\x18ftypheic\0\0\0\0', 'latin1'), 'HEIC'],
    ['more pixels than can be opened', () => plain(20_000, 5_000).png().toBuffer(), 'too many pixels'],
  ])('that is %s is refused in words', async (_, make, words) => {
    await expect(scalePicture(await make())).rejects.toThrow(NoPicture);
    await expect(scalePicture(await make())).rejects.toThrow(words);
  });
});
