import type { FileAnswer, OwnFile } from '../../core/contract/files';
import type { Refusal } from '../../core/contract/refusal';
import { NO_ANSWER, NO_CONNECTION, sendBytes } from './sendBytes';
import { tooLargeToBring } from './tooLargeToBring';
import type { Work } from './useBringing';

/** What brings a file in that becomes the business's own. @param onBrought told of it when it is kept */
export function bringOwnFile(file: File, onBrought: (file: OwnFile) => void, over?: string): Work {
  return async (on) => {
    const tooLarge = tooLargeToBring(file);
    if (tooLarge) return { trouble: tooLarge };
    const asked = new URLSearchParams({ name: file.name, ...(over ? { over } : {}) });
    const answer = await sendBytes<FileAnswer | Refusal>(`/api/files?${asked}`, file, on);
    if ('offline' in answer) return NO_CONNECTION;
    const { body } = answer;
    if (body?.result === 'done') {
      onBrought({ name: body.name, size: body.size });
      return body.note === undefined ? undefined : { trouble: body.note };
    }
    if (body?.result === 'taken')
      return {
        trouble: body.error,
        acts: [
          ['Put this one in its place, in every template', bringOwnFile(file, onBrought, body.sha256)],
          ['Keep both', bringOwnFile(file, onBrought, 'beside')],
        ],
      };
    return { trouble: body?.error ?? NO_ANSWER, again: body?.result !== 'wrong' };
  };
}
