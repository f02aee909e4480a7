import type { PictureAnswer } from '../../core/contract/pictures';
import { LARGEST_PICTURE, tooLargePicture } from '../../core/files/limits';
import type { Refusal } from '../../core/contract/refusal';
import { sendBytes } from './sendBytes';

/** What came of it; `again` where it may go well another time. */
export type Brought = Extract<PictureAnswer, { result: 'done' }> | { trouble: string; again: boolean };

/**
 * Brings a picture to the server, which scales and keeps it.
 * @param on told how much of it has arrived there, from 0 to 1, and may be called off
 */
export async function bringPicture(file: Blob, on: Parameters<typeof sendBytes>[2]): Promise<Brought> {
  if (file.size > LARGEST_PICTURE) return { trouble: tooLargePicture(file.size), again: false };
  const answer = await sendBytes<PictureAnswer | Refusal>('/api/pictures', file, on);
  if ('offline' in answer)
    return { trouble: 'There is no connection. The picture has not been brought in.', again: true };
  const { status, body } = answer;
  if (body && 'result' in body && body.result === 'done') return body;
  return { trouble: body?.error ?? NO_ANSWER, again: status >= 500 || !body };
}

const NO_ANSWER = 'The server did not answer properly. The picture has not been brought in.';
