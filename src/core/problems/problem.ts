/** A place in a file: lines and columns count from 1, columns in characters. */
export interface Place {
  file: string;
  line: number;
  column: number;
}

/** Something wrong, where it is, in words its writer understands. */
export interface Problem extends Place {
  message: string;
}

/** A problem as it is printed: `file:line:column: message`. */
export function inWords({ file, line, column, message }: Problem): string {
  return `${file}:${line}:${column}: ${message}`;
}

/** In the order of files, lines and columns. */
export function byPlace(a: Problem, b: Problem): number {
  return (a.file < b.file ? -1 : a.file > b.file ? 1 : 0) || a.line - b.line || a.column - b.column;
}

/** Where each tag of a document was read. A document from elsewhere has none. */
export type Places = WeakMap<object, Place>;

/** Knows the line and column of an offset in some text. */
export interface PlaceFinder {
  place(offset: number): Place;
}

/** Turns offsets in a text into lines and columns. */
export class LineIndex implements PlaceFinder {
  private readonly starts: number[] = [0];
  private last = { line: 0, offset: 0, column: 1 };

  constructor(
    private readonly text: string,
    private readonly file: string,
  ) {
    for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) this.starts.push(at + 1);
  }

  place(offset: number): Place {
    let [low, high] = [0, this.starts.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.starts[middle]! <= offset) low = middle;
      else high = middle - 1;
    }
    // Places are mostly asked for in reading order: a long line is counted on, not again.
    const known = this.last.line === low && this.last.offset <= offset;
    const from = known ? this.last : { offset: this.starts[low]!, column: 1 };
    const column = from.column + [...this.text.slice(from.offset, offset)].length;
    this.last = { line: low, offset, column };
    return { file: this.file, line: low + 1, column };
  }
}
