import { readBytes } from './readBytes';
import { Refused } from './refused';

/**
 * Reads the JSON of a request.
 * @param most how many bytes it may have: no more are taken in
 * @throws Refused when it is not said to be JSON, is longer, is none, or holds text that no database keeps
 */
export async function readJson(request: Request, most: number): Promise<unknown> {
  const type = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
  if (type !== 'application/json') throw new Refused('This is read as JSON only.', 415);
  const bytes = await readBytes(request, most);
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new Refused('This is no JSON.', 400);
  }
  if (!isKeepable(json)) throw new Refused('This holds characters that cannot be kept.', 400);
  return json;
}

/** Deeper than this is no form of ours. */
const DEEPEST = 200;

/** Whether every text is well-formed and without NUL, however deep it stands. */
function isKeepable(json: unknown): boolean {
  const open: { value: unknown; depth: number }[] = [{ value: json, depth: 0 }];
  for (let one = open.pop(); one; one = open.pop()) {
    const { value, depth } = one;
    if (depth > DEEPEST) return false;
    if (typeof value === 'string' && !isText(value)) return false;
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, inner] of Object.entries(value)) {
      if (!isText(key)) return false;
      open.push({ value: inner, depth: depth + 1 });
    }
  }
  return true;
}

const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

function isText(text: string): boolean {
  return !text.includes('\0') && !LONE_SURROGATE.test(text);
}
