import { nameBooking } from '../../describe/nameRecord';
import type { Situation } from '../../records/which/situation';
import type { Check, ProofMark } from '../proofMark';

/**
 * A letter about a record that is no longer meant, as if it were: the confirmation of a cancelled visit, a void or draft
 * invoice sent out, a cancelled project that is done. What the letter starts from counts, and what its words name.
 */
export const checkCalledOff: Check = ({ head, notes }, situation) => {
  // A template that is meant for it says so.
  if (JSON.stringify(head.fitsWhen ?? '').includes('"cancelled"') && head.action?.act === 'visit cancelled')
    return [];
  const named = new Set(notes.flatMap(({ record }) => record ?? []));
  return [
    ...ifNamed('booking', situation, named, ({ status }) =>
      status === 'cancelled' || status === 'missed' ? status : undefined,
    ),
    ...ifNamed('invoice', situation, named, ({ status }) =>
      status === 'void' ? 'void' : status === 'draft' ? 'still a draft' : undefined,
    ),
    ...ifNamed('project', situation, named, ({ status }) => (status === 'cancelled' ? status : undefined)),
  ];
};

type Kind = 'booking' | 'invoice' | 'project';

function ifNamed(
  kind: Kind,
  situation: Situation,
  named: ReadonlySet<string>,
  wrong: (record: { status?: string }) => string | undefined,
): ProofMark[] {
  const record = situation[kind]?.record;
  const state = record && wrong(record);
  if (!state || (situation.start.kind !== kind && !named.has(`${kind}:${record.key}`))) return [];
  const message = `${whichOne(kind, situation)} is ${state}, and the letter writes about it.`;
  return [{ kind: 'query', id: `called off ${kind}:${record.key}`, message }];
}

function whichOne(kind: Kind, { book, booking, invoice, project }: Situation): string {
  switch (kind) {
    case 'booking': {
      const { name, note } = nameBooking(book, { ...booking!.record, status: 'confirmed' });
      return `The ${name}, ${note},`;
    }
    case 'invoice':
      return `Invoice ${invoice!.record.number ?? invoice!.record.key}`;
    case 'project':
      return `The project “${project!.record.title ?? project!.record.key}”`;
  }
}
