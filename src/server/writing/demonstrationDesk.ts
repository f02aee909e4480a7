import { readDemonstration } from '../../data/demonstration/readDemonstration';
import { WritingDesk } from '../../core/writing/writingDesk';

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
