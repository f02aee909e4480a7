/** A request that is refused before anything in it is looked at: the words and the status to refuse it with. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }

  answer(): Response {
    return Response.json({ error: this.message }, { status: this.status });
  }
}

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

async function readBytes(request: Request, most: number): Promise<Uint8Array> {
  const tooLong = () => new Refused(`This is longer than ${most} bytes.`, 413);
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLong();
  const chunks: Uint8Array[] = [];
  let size = 0;
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
  return Buffer.concat(chunks);
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
