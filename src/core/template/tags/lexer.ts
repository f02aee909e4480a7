/** A word, quoted text or a mark of punctuation inside a tag, with its offset in the tag's source. */
export interface Token {
  kind: 'word' | 'quoted' | 'pipe' | 'question';
  /** what it says; quoted text without its quotes and escapes */
  text: string;
  at: number;
  end: number;
}

/** Thrown while one tag is read, caught by the reader, which knows the tag's place. */
export class TagError extends Error {
  constructor(
    message: string,
    /** offset in the tag's inner source */
    readonly at: number,
  ) {
    super(message);
  }
}

/** Splits a tag's inner source. Quoted text may hold anything, a quote in it is written \". */
export function lex(source: string, from = 0): Token[] {
  const tokens: Token[] = [];
  let at = from;
  while (at < source.length) {
    const char = source[at]!;
    if (/\s/u.test(char)) at++;
    else if (char === '|') tokens.push({ kind: 'pipe', text: '|', at, end: ++at });
    else if (char === '?') tokens.push({ kind: 'question', text: '?', at, end: ++at });
    else if (char === '"') {
      const end = closingQuote(source, at);
      if (end < 0) throw new TagError('This quotation mark is never closed.', at);
      tokens.push({
        kind: 'quoted',
        text: source.slice(at + 1, end).replaceAll('\\"', '"'),
        at,
        end: end + 1,
      });
      at = end + 1;
    } else {
      const word = /^[^\s|"?]+/u.exec(source.slice(at))![0];
      tokens.push({ kind: 'word', text: word, at, end: at + word.length });
      at += word.length;
    }
  }
  return tokens;
}

/** The offset of the quotation mark that closes the one at `open`, or -1 where it is not before `until`. */
export function closingQuote(source: string, open: number, until = source.length): number {
  for (let at = open + 1; at < until; at++) {
    if (source[at] === '\\' && source[at + 1] === '"') at++;
    else if (source[at] === '"') return at;
  }
  return -1;
}

/** A text in quotation marks, as readers of tags understand it. */
export function quote(text: string): string {
  return `"${text.replaceAll('"', '\\"')}"`;
}

const PATH = /^(?:\.|[\p{L}_][\p{L}\p{N}_-]*(?:\.[\p{L}_][\p{L}\p{N}_-]*)*)$/u;

/** Whether a word is written as a path is. */
export function isPath(text: string): boolean {
  return PATH.test(text);
}
