import { fullName } from '../people/names';
import type { Check } from './proofMark';

/** Somebody has to get the letter, and each by an address. */
export const checkAddressees: Check = (_, { recipients }) => {
  if (recipients.length === 0)
    return [{ kind: 'stop', message: 'There is nobody to write to. Choose a person.' }];
  return recipients
    .filter(({ record }) => !record.data.email)
    .map(({ record }) => ({
      kind: 'stop',
      message: `${fullName(record.data) ?? 'The recipient'} has no email address. Add one, or choose another person.`,
    }));
};
