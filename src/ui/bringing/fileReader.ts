import { startBeside } from '../beside/startBeside';
import type { AskOfFile, ToldOfFile } from './messages';

/** Reads a file beside the page, in a worker of its own. */
export class FileReading {
  readonly #worker = startBeside('bringing');
  readonly #waiting = new Map<number, (told: ToldOfFile) => void>();
  #asked = 0;

  constructor() {
    this.#worker.onmessage = ({ data }: MessageEvent<{ id: number; told: ToldOfFile }>) => {
      this.#waiting.get(data.id)?.(data.told);
      this.#waiting.delete(data.id);
    };
    this.#worker.onerror = () => {
      for (const tell of this.#waiting.values())
        tell({ type: 'refused', message: 'This file could not be read.' });
      this.#waiting.clear();
    };
  }

  ask(ask: AskOfFile, give: Transferable[] = []): Promise<ToldOfFile> {
    const id = ++this.#asked;
    return new Promise((resolve) => {
      this.#waiting.set(id, resolve);
      this.#worker.postMessage({ id, ask }, give);
    });
  }

  end(): void {
    this.#worker.terminate();
  }
}
