import type { PictureAnswer } from '../../../core/contract/pictures';

/** What a picture that is brought in or cropped is answered with. */
export const PICTURE_STATUS = { done: 200, wrong: 422, gone: 404 } as const satisfies Record<
  PictureAnswer['result'],
  number
>;
