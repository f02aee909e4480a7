import { UnreadableFile } from './readText';

/** Where a command writes. */
export interface Streams {
  out: (text: string) => void;
  err: (text: string) => void;
}

/** What keeps a command from its work, said to the person who typed it. */
export class Unusable extends Error {
  constructor(readonly lines: string[]) {
    super(lines.join('\n'));
  }
}

/** Does a command’s work, which gives its exit code; 2, and in words why, where it cannot be done. */
export async function doing(work: () => Promise<number>, { err }: Streams): Promise<number> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof UnreadableFile) err(`${error.message}\n`);
    else if (error instanceof Unusable) err(`${error.lines.join('\n')}\n`);
    else throw error;
    return 2;
  }
}
