import { createHash } from 'node:crypto';
import { Refused } from './refused';

/**
 * Reads what a request brings. Where it says what that adds up to (RFC 9530), it must.
 * @param most how many bytes it may have: no more are taken in
 * @param words what is said where it has more, by how many it is said to have
 * @throws Refused when it is longer, or not what it says
 */
export async function readBytes(
  request: Request,
  most: number,
  words = (_size: number) => `This is longer than ${most} bytes.`,
): Promise<Buffer> {
  const said = Number(request.headers.get('content-length') ?? 0);
  const tooLong = () => new Refused(words(Math.max(said, size)), 413);
  let size = 0;
  if (said > most) throw tooLong();
  const chunks: Uint8Array[] = [];
  const reader = request.body?.getReader();
  for (;;) {
    const { done, value } = (await reader?.read()) ?? { done: true, value: undefined };
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader!.cancel();
      throw tooLong();
    }
    chunks.push(value);
  }
  if (said > 0 && size !== said) throw new Refused('Not all of it arrived. Try again.', 400);
  const bytes = Buffer.concat(chunks);
  const digest = /^sha-256=:([A-Za-z0-9+/=]+):$/.exec(request.headers.get('content-digest') ?? '')?.[1];
  if (digest !== undefined && digest !== createHash('sha256').update(bytes).digest('base64'))
    throw new Refused('What arrived is not what was sent. Try again.', 422);
  return bytes;
}
