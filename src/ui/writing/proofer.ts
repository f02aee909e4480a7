import { startBeside } from '../beside/startBeside';
import type { MetadataJson } from 'libphonenumber-js/core';
import { hasWords } from '../../core/fitting/listedTemplate';
import type { LookedUp } from '../../core/proof/proofMark';
import type { StartingPoint } from '../../core/records/which/situation';
import type { KeptTemplate } from '../../core/template/template';
import type { LookedOver } from '../../core/writing/lookOver';
import { templatesOf, type Letter } from '../../core/writing/letter';
import type { WritingDesk, WritingFacts } from '../../core/writing/writingDesk';

export type ToProofer =
  | { type: 'facts'; facts: WritingFacts; phones: MetadataJson }
  | { type: 'template'; template: KeptTemplate }
  | { type: 'proof'; id: number; start: StartingPoint; letter: Letter; lookedUp: LookedUp };

/** `found` is absent where the letter could not be filled there. */
export interface Proofread {
  id: number;
  found?: LookedOver;
}

/** Proofs a letter while it is typed, beside the page, which never waits for it. */
export class Proofer {
  private worker: Worker | undefined;
  private failed = false;
  private asked = 0;
  private readonly open = new Map<number, (found: LookedOver | undefined) => void>();
  private readonly brought = new Set<string>();

  constructor(
    private readonly desk: WritingDesk,
    private readonly phones: MetadataJson,
  ) {}

  /** What the proof says of a letter; undefined: it cannot be asked, and the page has to look itself. */
  async proof(start: StartingPoint, letter: Letter, lookedUp: LookedUp): Promise<LookedOver | undefined> {
    const worker = this.begun();
    if (!worker) return undefined;
    for (const key of templatesOf(letter.choices)) {
      const template = this.desk.template(key);
      if (!template || !hasWords(template)) return undefined;
      if (this.brought.has(key)) continue;
      this.brought.add(key);
      this.tell({ type: 'template', template });
    }
    const id = ++this.asked;
    return new Promise((resolve) => {
      this.open.set(id, resolve);
      this.tell({ type: 'proof', id, start, letter, lookedUp });
    });
  }

  /** Ends what was begun; what is still asked is not answered any more. */
  end(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.brought.clear();
    this.open.clear();
  }

  private begun(): Worker | undefined {
    if (this.worker || this.failed) return this.worker;
    try {
      this.worker = startBeside('proof');
    } catch {
      this.failed = true;
      return undefined;
    }
    this.worker.onmessage = ({ data: { id, found } }: MessageEvent<Proofread>) => {
      this.open.get(id)?.(found);
      this.open.delete(id);
    };
    // Its script could not be fetched: the page looks itself from now on.
    this.worker.onerror = () => {
      this.failed = true;
      for (const answer of this.open.values()) answer(undefined);
      this.end();
    };
    this.tell({ type: 'facts', facts: { ...this.desk.facts, templates: [] }, phones: this.phones });
    return this.worker;
  }

  private tell(message: ToProofer): void {
    this.worker?.postMessage(message);
  }
}
