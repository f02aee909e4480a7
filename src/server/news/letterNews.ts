import { listenForLetters } from '../../data/listening';

/** It is listened so long after the last has stopped hearing: whoever goes to another page hears again at once. In milliseconds. */
const LINGERS = 60_000;

/** Who hears of a business's letters in this process; the connection to the database is open while anybody does, and a while longer. */
export class LetterNews {
  readonly #listen: typeof listenForLetters;
  readonly #hearers = new Map<string, Set<() => void>>();
  /** when something was told last of a business, since it is listened */
  readonly #told = new Map<string, number>();
  #listening: { stop: () => void } | undefined;
  /** since when nothing can have been missed; everybody is told when that begins */
  #since = Infinity;
  #lingering: NodeJS.Timeout | undefined;

  constructor(listen = listenForLetters) {
    this.#listen = listen;
  }

  /**
   * @param within it is told at once where something has become of a letter in the last so many milliseconds, or may have: what whoever hears
   * it knows is as old as that
   * @returns what ends it
   */
  hear(business_id: string, tell: () => void, within = 0): () => void {
    clearTimeout(this.#lingering);
    const hearers = this.#hearers.get(business_id) ?? new Set();
    this.#hearers.set(business_id, hearers.add(tell));
    this.#listening ??= this.#listen(process.env.DATABASE_URL ?? '', (of) => this.#tell(of));
    const since = performance.now() - within;
    const missed = Math.max(this.#since, this.#told.get(business_id) ?? 0) > since;
    if (this.#since < Infinity && missed) queueMicrotask(tell);
    return () => {
      hearers.delete(tell);
      if (hearers.size === 0 && this.#hearers.get(business_id) === hearers) this.#hearers.delete(business_id);
      if (this.#hearers.size === 0) this.#lingering = setTimeout(() => this.#stop(), LINGERS).unref();
    };
  }

  #stop(): void {
    this.#listening?.stop();
    this.#listening = undefined;
    this.#since = Infinity;
    this.#told.clear();
  }

  #tell(of: string | undefined): void {
    if (of === undefined) this.#since = performance.now();
    else this.#told.set(of, performance.now());
    const told =
      of === undefined ? [...this.#hearers.values()] : [this.#hearers.get(of) ?? new Set<() => void>()];
    for (const tell of told.flatMap((hearers) => [...hearers])) tell();
  }
}

const kept = globalThis as unknown as { fairQuillNews?: LetterNews };

/** The news of this process; kept across reloads during development. */
export function letterNews(): LetterNews {
  return (kept.fairQuillNews ??= new LetterNews());
}
