import type { CompiledTemplate } from '../fill/compileTemplate';
import { fillInto } from '../fill/fillInto';
import { SilentWriter } from '../fill/write/silentWriter';
import type { RecordBook } from '../records/recordBook';
import type { MemberData } from '../records/recordsFile';
import { situationFrom } from '../records/which/situation';
import { isMeantFor } from '../writing/proofLetter';

/** A record that something is missing for. */
export interface MissingFor {
  /** the record that the letter would start from */
  start: string;
  /** its client's key and name, or the name of whoever asked */
  client?: string;
  name: string;
  /** what is missing, in words */
  reason: string;
}

/** A fact of a template that is missing for some clients. */
export interface HoleOver {
  path: string;
  label: string;
  /** for how many clients it is missing */
  count: number;
  /** the first of them, one for each client */
  records: MissingFor[];
}

/** What is missing in the letters that a template would make, over many clients. */
export interface HolesOver {
  /** how many clients have a record that it fits */
  clients: number;
  holes: HoleOver[];
}

/** So many of the records are named for each hole. */
const NAMED = 100;

/**
 * Counts the facts that a template's letters lack, client by client, while it goes through the records: those that most lack come
 * first. What is to be answered or replaced in every letter is no client's and is not counted.
 */
export class HoleCount {
  private readonly page = new SilentWriter();
  private readonly clients = new Set<string>();
  private readonly holes = new Map<string, HoleOver & { of: Set<string> }>();

  /** @param sender whoever would write */
  constructor(
    private readonly template: CompiledTemplate,
    private readonly sender: MemberData,
  ) {}

  /** Fills the template for one record, in no letter's sight. One that it does not fit is passed over. */
  add(book: RecordBook, key: string): void {
    const { template, sender, page } = this;
    const { startsFrom: kind, writtenTo } = template.head;
    const situation = situationFrom(book, { kind, key }, writtenTo ? { sender, writtenTo } : { sender });
    if (!situation || !isMeantFor(template, situation)) return;
    const found = situation.client?.record;
    // Whoever asked and is no client yet is told from the others by the record.
    const client = found && book.clients.has(found.key) ? found : undefined;
    const who = client?.key ?? `${kind} ${key}`;
    this.clients.add(who);
    const { holes } = fillInto(template, situation, NO_ANSWERS, page, (write) => write(page), {
      notes: false,
    });
    for (const { kind: missing, path, label, reason } of holes) {
      if (missing !== 'field') continue;
      let hole = this.holes.get(path);
      if (!hole) this.holes.set(path, (hole = { path, label, count: 0, records: [], of: new Set() }));
      if (hole.of.has(who)) continue;
      hole.of.add(who);
      hole.count++;
      if (hole.records.length === NAMED) continue;
      const name = found?.name ?? '';
      hole.records.push({ start: key, ...(client ? { client: client.key } : {}), name, reason });
    }
  }

  /** What was counted so far. */
  get counted(): HolesOver {
    const holes = [...this.holes.values()].map(({ of: _, ...hole }) => hole);
    return { clients: this.clients.size, holes: holes.sort((a, b) => b.count - a.count) };
  }
}

const NO_ANSWERS: ReadonlyMap<string, unknown> = new Map();
