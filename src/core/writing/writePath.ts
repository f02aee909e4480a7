import type { StartingPoint } from '../records/which/situation';

/** Where a letter is written. @param from a record, or `invoice:LPC-1048` @param template its key; absent: the likeliest */
export function writePath(from: StartingPoint | string, template?: string): string {
  const start = typeof from === 'string' ? from : `${from.kind}:${from.key}`;
  const path = `/write?from=${encodeURIComponent(start)}`;
  return template === undefined ? path : `${path}&template=${encodeURIComponent(template)}`;
}

/** Where a letter is seen again that waits on this device. @param letter its id */
export function shelvedPath(from: string, template: string, letter: string): string {
  return `${writePath(from, template)}&letter=${letter}`;
}

/** Where a message is answered. @param reply its id */
export function replyPath(from: StartingPoint | string, reply: string): string {
  return `${writePath(from)}&reply=${reply}`;
}
