import { Worker } from 'node:worker_threads';
import { readTemplateWords, type WordsReading } from '../../core/writing/readTemplateWords';
import type { WordsFacts } from '../../core/contract/templateWords';
import { wordsContext } from './wordsContext';

/** The longest words that are taken are read in less than a second; what takes longer is ended. */
const DEADLINE = 3_000;
/** So many wait for their turn. */
const MOST_WAITING = 20;

/** What a reading thread is asked (bin/reader.ts). */
export interface Asked {
  text: string;
  facts: WordsFacts;
}

/** Words that took too long to read. */
export class TooSlow extends Error {}

/** Reads words one after another in a thread, which is ended when it takes too long. */
export class WordsReader {
  readonly #file: string;
  readonly #deadline: number;
  #thread: Worker | undefined;
  #turn: Promise<unknown> = Promise.resolve();
  #waiting = 0;

  /** @param file the thread's script */
  constructor(file: string, deadline = DEADLINE) {
    this.#file = file;
    this.#deadline = deadline;
  }

  /** @throws TooSlow when it takes too long, or too many are waiting */
  async read(asked: Asked): Promise<WordsReading> {
    if (this.#waiting >= MOST_WAITING) throw new TooSlow();
    this.#waiting++;
    const reading = this.#turn.then(() => this.#readNow(asked));
    this.#turn = reading.catch(() => undefined);
    return reading.finally(() => this.#waiting--);
  }

  async #readNow(asked: Asked): Promise<WordsReading> {
    const thread = (this.#thread ??= new Worker(this.#file));
    // It keeps no process alive.
    thread.unref();
    let late: NodeJS.Timeout | undefined;
    try {
      return await new Promise<WordsReading>((resolve, reject) => {
        thread.once('message', resolve).once('error', reject);
        late = setTimeout(() => reject(new TooSlow()), this.#deadline);
        thread.postMessage(asked);
      });
    } catch (error) {
      this.#thread = undefined;
      void thread.terminate();
      throw error;
    } finally {
      clearTimeout(late);
      thread.removeAllListeners('message').removeAllListeners('error');
    }
  }
}

const kept = globalThis as unknown as { fairQuillReader?: WordsReader };

/** Reads and judges a template's words, in a thread where the application has one (FAIRQUILL_READER). */
export async function readWords(text: string, facts: WordsFacts): Promise<WordsReading> {
  const file = process.env.FAIRQUILL_READER;
  if (!file) return readTemplateWords(text, wordsContext(facts));
  return (kept.fairQuillReader ??= new WordsReader(file)).read({ text, facts });
}

/** Says of words that took too long to read what can be done. @throws what is another error */
export function saySlow(error: unknown): WordsReading {
  if (!(error instanceof TooSlow)) throw error;
  const message = 'These words take too long to read. Make them simpler, or try again in a moment.';
  return { template: undefined, problems: [{ file: '', line: 1, column: 1, message }] };
}
