import {
  nameBooking,
  nameInvoice,
  nameProject,
  nameRecipient,
  type RecordName,
} from '../describe/nameRecord';
import type { Situation } from '../records/which/situation';
import type { Choices } from './letter';
import { referenceOf } from '../records/which/recipientOf';
import { splitReference } from '../records/which/splitReference';

/** Another record or person that a letter could be filled from, and the choice that takes it. */
interface Alternative extends RecordName {
  key: string;
  choice: Partial<Choices>;
}

/** What else a field's record could be: the kind in words, and the others in order. */
export interface Alternatives {
  kind: 'invoice' | 'visit' | 'project' | 'person';
  others: Alternative[];
}

/** @param record the field's record, as its note has it: `invoice:K-101` */
export function alternativesTo(record: string | undefined, situation: Situation): Alternatives | undefined {
  if (!record) return undefined;
  const [kind, key] = splitReference(record);
  const found = ofRecord(kind, key, situation) ?? ofPerson(record, situation);
  return found?.others.length ? found : undefined;
}

function ofRecord(
  kind: string,
  key: string,
  { book, invoice, booking, project }: Situation,
): Alternatives | undefined {
  if (kind === 'invoice' && invoice?.record.key === key) {
    const others = invoice.alternatives.map((one) =>
      other(one.key, nameInvoice(book, one), { invoice: one.key }),
    );
    return { kind: 'invoice', others };
  }
  if (kind === 'booking' && booking?.record.key === key) {
    const others = booking.alternatives.map((one) =>
      other(one.key, nameBooking(book, one), { booking: one.key }),
    );
    return { kind: 'visit', others };
  }
  if (kind === 'project' && project?.record.key === key) {
    const others = project.alternatives.map((one) =>
      other(one.key, nameProject(book, one), { project: one.key }),
    );
    return { kind: 'project', others };
  }
  return undefined;
}

function ofPerson(record: string, situation: Situation): Alternatives | undefined {
  return situation.recipients.some((one) => referenceOf(one.record) === record)
    ? people(situation)
    : undefined;
}

/** Everyone else a letter could go to. */
export function people({ recipients, addressable }: Situation): Alternatives {
  const taken = new Set(recipients.map(({ record }) => referenceOf(record)));
  return {
    kind: 'person',
    others: addressable
      .filter((one) => !taken.has(referenceOf(one)))
      .map((one) => other(referenceOf(one), nameRecipient(one), { recipients: [referenceOf(one)] })),
  };
}

function other(key: string, name: RecordName, choice: Partial<Choices>): Alternative {
  return { key, ...name, choice };
}
