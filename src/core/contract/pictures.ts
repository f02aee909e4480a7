import { number, object, type InferType } from 'yup';

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
