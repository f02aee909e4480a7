/** What was brought cannot be read as templates: a line each, with its place. */
export class NoTemplate extends Error {
  readonly lines: string[];

  constructor(...lines: string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}
