import type { BroughtKind } from '../../core/bringing/brought';
import { MOST_OF_ROWS, ROWS_AT_ONCE, type BringingState, type ComingRow } from '../../core/contract/bringing';
import type { Refusal } from '../../core/contract/refusal';
import { askServer, type Answer } from '../writing/askServer';

/** What is given. */
export interface Given {
  id: string;
  kind: BroughtKind;
  name: string;
  heads: string[];
  columns: (string | null)[];
  rows: readonly ComingRow[];
}

/** What became of it: it is coming in, or why not. */
export type GivenTo = { state: BringingState } | { trouble: string };

/** Tried again after so many milliseconds while there is no connection. */
const PAUSES = [1_000, 2_000, 4_000];

/**
 * Gives the server a file's rows, some at a time, and lets them come in when all are there. Where it stopped it is gone on with: the
 * same rows at the same place are the same.
 * @param onShare told how many rows are there
 */
export async function giveFile(
  { id, kind, name, heads, columns, rows }: Given,
  onShare: (given: number) => void,
  signal: AbortSignal,
): Promise<GivenTo> {
  const path = `/api/bringing/${id}`;
  const begun = await insist(
    '/api/bringing',
    { id, kind, name, total: rows.length, heads, columns },
    'POST',
    signal,
  );
  if ('trouble' in begun) return begun;
  let given = 0;
  for (const [position, part] of partsOf(rows).entries()) {
    const told = await insist(`${path}/rows`, { position, rows: part }, 'PUT', signal);
    if ('trouble' in told) {
      // Given whole before, in another tab or before the answer was lost.
      if (told.status === 409) break;
      return told;
    }
    given += part.length;
    onShare(given);
  }
  const told = await insist<BringingState>(path, { act: 'bring in' }, 'POST', signal);
  return 'trouble' in told ? told : { state: told.body };
}

/** Few enough for one request each, in number and in length. */
function partsOf(rows: readonly ComingRow[]): ComingRow[][] {
  const parts: ComingRow[][] = [];
  let length = Infinity;
  for (const row of rows) {
    // A character is three bytes at most in UTF-8, and few are.
    const own = JSON.stringify(row).length * 3;
    if (length + own > MOST_OF_ROWS - 1_000 || parts.at(-1)!.length >= ROWS_AT_ONCE) {
      parts.push([]);
      length = 0;
    }
    parts.at(-1)!.push(row);
    length += own;
  }
  return parts;
}

async function insist<T>(
  path: string,
  send: unknown,
  method: string,
  signal: AbortSignal,
): Promise<{ body: T } | { trouble: string; status?: number }> {
  for (let tries = 0; ; tries++) {
    if (signal.aborted) return { trouble: 'It was stopped. Nothing has come in.' };
    const answer: Answer<T & Partial<Refusal>> = await askServer(path, send, method);
    if ('offline' in answer || answer.status >= 502) {
      const pause = PAUSES[tries];
      if (pause === undefined)
        return { trouble: 'There is no connection. Nothing has come in yet: bring it in again.' };
      await new Promise((resolve) => setTimeout(resolve, pause));
      continue;
    }
    const { status, body } = answer;
    if (status < 300) return { body };
    return { trouble: body.error ?? 'The server did not take it.', status };
  }
}
