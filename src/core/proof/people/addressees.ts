import { fullName } from '../../people/names';
import type { Check } from '../proofMark';

/** Somebody has to get the letter, and each by an address that is one. */
export const checkAddressees: Check = ({ head, addressing }, { recipients }) => {
  if (recipients.length === 0) {
    const whom = head.writtenTo && head.writtenTo !== 'client' ? head.writtenTo : 'person';
    return [
      { kind: 'stop', id: 'nobody', message: `There is nobody to write to. Choose the ${whom} it goes to.` },
    ];
  }
  const without = recipients
    .filter(({ record }) => !record.data.email)
    .map(({ record }) => fullName(record.data) ?? 'The recipient')
    .map((name) => ({
      kind: 'stop' as const,
      id: `no address ${name}`,
      message: `${name} has no email address. Add one, or choose another person.`,
    }));
  const wrong = addressing.wrong.map(({ place, text }) => ({
    kind: 'stop' as const,
    id: `address ${place} ${text}`,
    message: `“${text}” (${place}) is not one email address. Mend it where it is kept, or choose another person.`,
  }));
  return [...without, ...wrong];
};
