import sharp, { type Sharp } from 'sharp';
import type { Crop } from '../../core/contract/pictures';

/** As large as a picture may stay, in pixels. */
export interface PictureSize {
  width: number;
  height: number;
}

/** A letter is at most 600 pixels wide; a screen with fine pixels shows two for each. */
const IN_A_LETTER: PictureSize = { width: 1240, height: 1800 };
/** A picture of more than this is a trap: it would take gigabytes to open. */
const MOST_PIXELS = 80_000_000;
const SECONDS = 15;

/** A picture as letters have it. */
export interface ScaledPicture {
  content: Buffer;
  type: 'image/png' | 'image/jpeg';
  width: number;
  height: number;
  /** what of it was left out, in words */
  note?: string;
}

/** A file that is no picture, or none that can be opened; the message says so to whoever brought it. */
export class NoPicture extends Error {}

/**
 * Makes a picture ready for letters: upright as its camera held it, no larger than a letter shows it or than is said, as PNG or
 * JPEG, without what a camera writes into it (where it was, when, by whom).
 * @param crop how much of each side is cut off first
 * @throws NoPicture
 */
export async function scalePicture(
  content: Uint8Array,
  { crop, within = IN_A_LETTER }: { crop?: Crop; within?: PictureSize } = {},
): Promise<ScaledPicture> {
  if (content.length === 0) throw new NoPicture(NOT_SHOWN);
  const read = sharp(content, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).timeout({
    seconds: SECONDS,
  });
  const {
    format,
    pages = 1,
    hasAlpha,
  } = await read.metadata().catch((error: Error) => {
    throw new NoPicture(wordsOf(error, content));
  });
  if (!FORMATS.has(format)) throw new NoPicture(NOT_SHOWN);
  const drawn = format === 'png' || format === 'gif' || hasAlpha;
  try {
    const upright = crop ? await cropped(read.rotate(), crop) : read.rotate();
    const scaled = upright.resize({ ...within, fit: 'inside', withoutEnlargement: true });
    const written = drawn
      ? scaled.png({ compressionLevel: 9, palette: format === 'gif' })
      : scaled.jpeg({ quality: 82, mozjpeg: true });
    const { data, info } = await written.toBuffer({ resolveWithObject: true });
    return {
      content: data,
      type: drawn ? 'image/png' : 'image/jpeg',
      width: info.width,
      height: info.height,
      ...(pages > 1 ? { note: 'It moves; its first picture is kept.' } : {}),
    };
  } catch (error) {
    throw new NoPicture(wordsOf(error as Error, content));
  }
}

const FORMATS: ReadonlySet<string> = new Set(['jpeg', 'png', 'gif', 'webp']);
const NOT_SHOWN = 'This is no picture that letters can have. Bring a JPEG, PNG, WebP or GIF.';

function wordsOf(error: Error, content: Uint8Array): string {
  if (/pixel limit/i.test(error.message)) return 'This picture has too many pixels. Make it smaller first.';
  if (/timeout|expired/i.test(error.message))
    return 'This picture took too long to open. Make it smaller first.';
  // ISO base media, 4.3: what telephones write.
  if (/^ftyp(?:heic|heix|mif1)/.test(Buffer.from(content.subarray(4, 12)).toString('latin1')))
    return 'This is a HEIC photograph, which mail does not show. Save it as JPEG first.';
  return looksLike(content) ? 'This picture is damaged and cannot be opened.' : NOT_SHOWN;
}

function looksLike(content: Uint8Array): boolean {
  const begins = Buffer.from(content.subarray(0, 12)).toString('latin1');
  return /^(?:\xff\xd8\xff|\x89PNG|GIF8|RIFF....WEBP)/s.test(begins);
}

/** Cuts each side, of the picture as it is seen. */
async function cropped(upright: Sharp, { left, right, top, bottom }: Crop): Promise<Sharp> {
  const { data, info } = await upright.raw().toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  const x = Math.round(left * width);
  const y = Math.round(top * height);
  return sharp(data, { raw: { width, height, channels } }).extract({
    left: x,
    top: y,
    width: Math.max(1, Math.round((1 - right) * width) - x),
    height: Math.max(1, Math.round((1 - bottom) * height) - y),
  });
}
