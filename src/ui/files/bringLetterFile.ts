import type { AddedFile, AlongAnswer } from '../../core/contract/along';
import type { Refusal } from '../../core/contract/refusal';
import { scaledHere } from './scaledHere';
import { NO_ANSWER, NO_CONNECTION, sendBytes } from './sendBytes';
import { tooLargeToBring } from './tooLargeToBring';
import type { Work } from './useBringing';

/** What brings a file in that goes along with one letter. @param onBrought told of it when it is kept */
export function bringLetterFile(file: File, onBrought: (added: AddedFile) => void): Work {
  return async (on) => {
    const tooLarge = tooLargeToBring(file);
    if (tooLarge) return { trouble: tooLarge };
    const asked = new URLSearchParams({ name: file.name || 'picture.jpg' });
    const answer = await sendBytes<AlongAnswer | Refusal>(`/api/along?${asked}`, await scaledHere(file), on);
    if ('offline' in answer) return NO_CONNECTION;
    const { body } = answer;
    if (!body || !('result' in body) || body.result !== 'done')
      return {
        trouble: body?.error ?? NO_ANSWER,
        again: !body || !('result' in body) || answer.status >= 500,
      };
    onBrought(body.file);
    return body.note === undefined ? undefined : { trouble: body.note };
  };
}
