import type { Refusal } from '../../core/contract/refusal';
import { NO_ANSWER, NO_CONNECTION, sendBytes } from './sendBytes';
import type { Work } from './useBringing';
import { tooLargeToBring } from './tooLargeToBring';

type Brought = { result: 'done'; note?: string };

/**
 * What brings a file in at an address.
 * @param onBrought told of what the server answers when it is kept
 * @param ready makes the file ready on its way; absent: it is sent as it is
 */
export function bringTo<Answer extends { result: string; error?: string } | Brought>(
  address: string,
  file: File,
  onBrought: (answer: Extract<Answer, { result: 'done' }>) => void,
  ready: (file: File) => Blob | Promise<Blob> = (as) => as,
): Work {
  return async (on) => {
    const tooLarge = tooLargeToBring(file);
    if (tooLarge) return { trouble: tooLarge };
    const answer = await sendBytes<Answer | Refusal>(address, await ready(file), on);
    if ('offline' in answer) return NO_CONNECTION;
    const body = answer.body as Partial<Brought & { error: string }> | null;
    if (body?.result !== 'done')
      return {
        trouble: body?.error ?? NO_ANSWER,
        again: body?.result === undefined || answer.status >= 500,
      };
    onBrought(answer.body as Extract<Answer, { result: 'done' }>);
    return body.note === undefined ? undefined : { trouble: body.note };
  };
}
