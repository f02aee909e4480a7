import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import type { Check } from '../proofMark';

/** Whoever asked for no letters gets none; a letter to a partner or a colleague about them is none to them. */
export const checkNoLetters: Check = ({ head }, { client, book }) => {
  const since = client?.record.no_letters_since;
  if (!since || (head.writtenTo ?? 'client') !== 'client') return [];
  const day = readDay(since);
  const when = day === undefined ? '' : ` on ${formatsOf(book).date(day, 'date')}`;
  return [
    {
      kind: 'stop',
      id: 'no letters',
      message: `${client.record.name ?? 'The client'} asked for no letters${when}. Where that is no longer so, change it at the client.`,
    },
  ];
};
