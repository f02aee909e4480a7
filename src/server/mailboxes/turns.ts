/** Lets no more than so many do something at once; the others wait for their turn, in the order in which they came. */
export class Turns {
  #free: number;
  readonly #waiting: (() => void)[] = [];

  constructor(most: number) {
    this.#free = most;
  }

  /** Does something when its turn comes. @returns what it gives, or throws what it throws */
  async take<T>(work: () => Promise<T>): Promise<T> {
    if (this.#free > 0) this.#free--;
    else await new Promise<void>((begin) => this.#waiting.push(begin));
    try {
      return await work();
    } finally {
      const next = this.#waiting.shift();
      if (next) next();
      else this.#free++;
    }
  }
}
