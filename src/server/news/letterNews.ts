import { listenForLetters } from '../../data/listening';

/** Who hears of a business's letters in this process; the connection to the database is open while anybody does. */
class LetterNews {
  readonly #hearers = new Map<string, Set<() => void>>();
  #listening: { stop: () => void } | undefined;

  /** @returns what ends it */
  hear(business_id: string, tell: () => void): () => void {
    const hearers = this.#hearers.get(business_id) ?? new Set();
    this.#hearers.set(business_id, hearers.add(tell));
    this.#listening ??= listenForLetters(process.env.DATABASE_URL ?? '', (of) => this.#tell(of));
    return () => {
      hearers.delete(tell);
      if (hearers.size === 0 && this.#hearers.get(business_id) === hearers) this.#hearers.delete(business_id);
      if (this.#hearers.size > 0) return;
      this.#listening?.stop();
      this.#listening = undefined;
    };
  }

  #tell(of: string | undefined): void {
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
