import type { FileOwner, RecordFileAnswer } from '../../core/contract/recordFiles';
import type { Refusal } from '../../core/contract/refusal';
import { NO_ANSWER, NO_CONNECTION, sendBytes } from './sendBytes';
import { tooLargeToBring } from './tooLargeToBring';
import type { Work } from './useBringing';

/** What brings a file in that becomes a record's. @param onBrought told of it when it is kept */
export function bringRecordFile(
  { kind, key, client = '' }: FileOwner,
  file: File,
  onBrought: (answer: Extract<RecordFileAnswer, { result: 'done' }>) => void,
): Work {
  return async (on) => {
    const tooLarge = tooLargeToBring(file);
    if (tooLarge) return { trouble: tooLarge };
    const asked = new URLSearchParams({ of: kind, key, client, name: file.name || 'picture.jpg' });
    const answer = await sendBytes<RecordFileAnswer | Refusal>(`/api/record-files?${asked}`, file, on);
    if ('offline' in answer) return NO_CONNECTION;
    const { body } = answer;
    if (body?.result !== 'done')
      return {
        trouble: body?.error ?? NO_ANSWER,
        again: body?.result === undefined || answer.status >= 500,
      };
    onBrought(body);
    return body.note === undefined ? undefined : { trouble: body.note };
  };
}
