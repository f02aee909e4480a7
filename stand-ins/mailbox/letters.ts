import { createHash } from 'node:crypto';
import { simpleParser } from 'mailparser';
import { attachmentsIn } from './attachmentsIn';

/** A letter as it lay in somebody's mailbox. */
export interface Letter {
  id: number;
  receivedAt: string;
  from: string;
  /** the envelope's sender: where reports go */
  envelopeFrom: string;
  /** the envelope's recipients, blind copies included */
  to: string[];
  subject: string;
  text: string;
  html: string;
  headers: { name: string; value: string }[];
  /** what goes along, pictures in its words apart */
  attachments: { name: string; size: number; sha256: string }[];
  raw: string;
}

/** What a header of a letter says, by its name in lower case; empty: it has none. */
export const headerOf = ({ headers }: Pick<Letter, 'headers'>, name: string): string =>
  headers.find((one) => one.name === name)?.value ?? '';

/** What a delivery is met with: any, or one to an address. */
export interface Refusal {
  code: number;
  words: string;
  to?: string;
}

/** How many letters are kept, and how many characters they have together: the oldest go first. */
const MOST = 1000;
const LONGEST = 200_000_000;

/** Everything that has arrived, and what the next delivery shall be met with. */
export class Letters {
  private kept: Letter[] = [];
  private count = 0;
  private length = 0;
  private refusals: Refusal[] = [];
  private cuts = 0;
  delay = 0;

  add(letter: Omit<Letter, 'id'>): void {
    this.kept.push({ ...letter, id: ++this.count });
    this.length += letter.raw.length;
    while (this.kept.length > MOST || (this.length > LONGEST && this.kept.length > 1))
      this.length -= this.kept.shift()!.raw.length;
  }

  /**
   * Reads a message, and adds it.
   * @param envelope by whom it was handed over, and for whom
   * @param before it came when it says that it was written, not now
   */
  async take(raw: Buffer, { from, to }: { from: string; to: string[] }, before = false): Promise<void> {
    const parsed = await simpleParser(raw);
    this.add({
      receivedAt: ((before && parsed.date) || new Date()).toISOString(),
      from: parsed.from?.text ?? '',
      envelopeFrom: from,
      to,
      subject: parsed.subject ?? '',
      text: parsed.text ?? '',
      html: parsed.html || '',
      headers: parsed.headerLines.map(({ key, line }) => ({
        name: key,
        value: line.replace(/^[^:]*:\s*/, ''),
      })),
      attachments: attachmentsIn(parsed).map(({ filename = 'file', size, content }) => ({
        name: filename,
        size,
        sha256: createHash('sha256').update(content).digest('hex'),
      })),
      raw: raw.toString('utf8'),
    });
  }

  list(address?: string): Letter[] {
    const wanted = address?.toLowerCase();
    return wanted
      ? this.kept.filter(({ to }) => to.some((one) => one.toLowerCase() === wanted))
      : [...this.kept];
  }

  find(id: number): Letter | undefined {
    return this.kept.find((letter) => letter.id === id);
  }

  addresses(): string[] {
    return [...new Set(this.kept.flatMap(({ to }) => to.map((one) => one.toLowerCase())))].sort();
  }

  clear(): void {
    this.kept = [];
    this.length = 0;
    this.refusals = [];
    this.cuts = 0;
    this.delay = 0;
  }

  /** The connections of the next letters break while their content is on its way. */
  cutNext(times: number): void {
    this.cuts = times;
  }

  /** Whether this one's does. */
  takeCut(): boolean {
    if (this.cuts === 0) return false;
    this.cuts--;
    return true;
  }

  refuseNext(refusal: Refusal, times: number): void {
    for (let i = 0; i < times; i++) this.refusals.push(refusal);
  }

  /** The refusal that a letter to these addresses is met with, each given out once. */
  takeRefusal(to: readonly string[]): Refusal | undefined {
    const at = this.refusals.findIndex((one) => one.to === undefined || to.includes(one.to));
    return at < 0 ? undefined : this.refusals.splice(at, 1)[0];
  }
}
