import { number, object, type InferType } from 'yup';
import { sizeInWords } from '../describe/sizeInWords';

/** A picture that is brought in has at most so many bytes; it is scaled before it is kept. */
export const LARGEST_PICTURE = 25_000_000;

/** A photograph that is kept is at most so wide and so high, in pixels. */
export const PICTURE_SIDE = 2400;

/** What is said of a larger one. */
export function tooLargePicture(size: number): string {
  return `This picture has ${sizeInWords(size)}. At most ${sizeInWords(LARGEST_PICTURE)} can be brought in.`;
}

const SHARE = number()
  .required()
  .min(0, 'What is cut off is a part of the picture.')
  .max(0.95, 'Something of the picture must be left.');

/** How much of each side is cut off, as a part of the picture's width or height: given to `/api/pictures/<sha256>`. */
export const CROP = object({ left: SHARE, right: SHARE, top: SHARE, bottom: SHARE })
  .noUnknown()
  .test(
    'left-over',
    'Something of the picture must be left.',
    // What is no number is refused at its own place.
    ({ left, right, top, bottom }) =>
      ![left, right, top, bottom].every(Number.isFinite) || (left + right <= 0.95 && top + bottom <= 0.95),
  );
export type Crop = InferType<typeof CROP>;

/** What came of bringing in or cropping a picture: what it is named by, and its size in pixels. */
export type PictureAnswer =
  | { result: 'done'; sha256: string; width: number; height: number; note?: string }
  | { result: 'wrong'; error: string }
  | { result: 'gone'; error: string };
