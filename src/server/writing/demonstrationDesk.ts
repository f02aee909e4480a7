import { readDemonstration } from '../../data/demonstration/readDemonstration';
import type { PastLetter } from '../../core/fitting/fittingTemplates';
import { isStartingKind } from '../../core/records/recordKind';
import { splitReference } from '../../core/records/which/splitReference';
import { WritingDesk } from '../../core/writing/writingDesk';

/** The letters that the demonstration's members have written before, oldest first. */
export async function demonstrationLetters(folder: string, now: number): Promise<PastLetter[]> {
  const { messages } = await readDemonstration(folder, now);
  const letters = messages.flatMap(
    ({ direction, template, about, client, at, member, recipients }): PastLetter[] => {
      const [kind, key] = splitReference(about ?? `client:${client ?? ''}`);
      if (direction !== 'out' || template === undefined || !isStartingKind(kind) || !key) return [];
      const to = recipients.map(({ address }) => address);
      return [{ template, about: { kind, key }, at, to, ...(member === undefined ? {} : { member }) }];
    },
  );
  return letters.sort((a, b) => (a.at < b.at ? -1 : 1));
}

/** A desk over the demonstration as it would be loaded at a moment, from its files, without a database. */
export async function demonstrationDesk(folder: string, now: number): Promise<WritingDesk> {
  const { records, templates, passages, signatures } = await readDemonstration(folder, now);
  return new WritingDesk({
    records,
    now,
    templates: templates.map((template) => ({ ...template, key: template.head.name, version: 1 })),
    passages,
    signatures,
    member: 'imke',
  });
}
