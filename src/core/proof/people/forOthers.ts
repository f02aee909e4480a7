import { fullName } from '../../people/names';
import type { Check, ProofMark } from '../proofMark';

/** A letter that is written for a partner or a colleague on its way to a client, or to a partner who does not work on this job. */
export const checkForOthers: Check = ({ head }, { recipients, project, book }) =>
  recipients.flatMap(({ record: { kind, data } }): ProofMark[] => {
    const name = fullName(data) ?? 'whoever gets it';
    const isClient = kind === 'client' || kind === 'contact';
    const wanted = head.writtenTo ?? 'client';
    if (wanted !== 'client' && isClient)
      return [
        {
          kind: 'query',
          id: `for others ${data.key}`,
          message: `“${head.name}” is written for a ${wanted}, and goes to ${name}, a client.`,
        },
      ];
    if (wanted === 'client' && !isClient)
      return [
        {
          kind: 'query',
          id: `not of theirs ${data.key}`,
          message: `${name} is a ${kind} and nobody at this client, and the letter is written for the client.`,
        },
      ];
    const partners = project?.record.partners ?? [];
    if (kind !== 'partner' || partners.length === 0 || partners.includes(data.key)) return [];
    const theirs = partners.flatMap((key) => book.partners.get(key)?.name ?? []).join(' and ');
    return [
      {
        kind: 'query',
        id: `not of job ${data.key}`,
        message: `${name} has nothing to do with “${project!.record.title ?? 'this job'}”. ${theirs} ${partners.length === 1 ? 'has' : 'have'}.`,
      },
    ];
  });
