import { ValidationError } from 'yup';
import { clientFacts as clientForm, type ClientFacts } from '../../core/contract/records/client';
import type { PutRight } from '../../core/contract/records/puttingRight';
import { splitReference } from '../../core/records/which/splitReference';
import { forMember } from '../forMember';
import { formGround } from '../records/formChoices';
import type { CurrentMember } from '../signIn/currentMember';
import { clientFacts, keepClient } from './keepClient';

/** What came of putting a client's facts right. */
export type PuttingRight = { result: 'kept' } | { result: 'gone' | 'overtaken' | 'wrong'; error: string };

type Named = Partial<Record<string, unknown>>;

/** Puts facts of a client right, or of a person or thing of theirs, where they still are as they were seen: for all letters to come. */
export const putRight = forMember(
  async (member: CurrentMember, key: string, { of, facts }: PutRight): Promise<PuttingRight> => {
    const all = await clientFacts(member, key);
    const found = all && partOf(all, of);
    if (!found) return { result: 'gone', error: 'This is no longer there.' };
    const kept = found as Named;
    const { name } = kept;
    for (const { fact, was, now } of facts) {
      const is = String(kept[fact] ?? '');
      if (is !== was)
        return {
          result: 'overtaken',
          error: `Somebody has changed it meanwhile: it is “${is}” now. Bring the letter up to date.`,
        };
      if (now.trim()) kept[fact] = now.trim();
      else delete kept[fact];
    }
    if (of === undefined && kept.name === name) kept.name = facts.reduce(follow, String(name));
    const { own } = await formGround(member);
    try {
      const asked = (await clientForm(own).validate(all)) as ClientFacts;
      const keeping = await keepClient(member, key, asked);
      if (keeping.result === 'kept') return { result: 'kept' };
      if (keeping.result === 'wrong') return { result: 'wrong', error: keeping.error };
      return {
        result: 'overtaken',
        error: 'Somebody has changed it meanwhile. Bring the letter up to date.',
      };
    } catch (error) {
      if (error instanceof ValidationError) return { result: 'wrong', error: error.message };
      throw error;
    }
  },
);

/** The person or thing that is meant, or the client; undefined: there is none. */
function partOf(client: ClientFacts, of: string | undefined): object | undefined {
  if (of === undefined) return client;
  const [kind, key] = splitReference(of);
  const parts = kind === 'contact' ? client.contacts : kind === 'item' ? client.items : [];
  return parts.find((one) => one.key === key);
}

/** The name as it is written follows the parts that it is made of. */
function follow(name: string, { fact, was, now }: PutRight['facts'][number]): string {
  if (!/^(?:given|family|preferred)_name$/.test(fact) || !was || !now.trim()) return name;
  return name
    .split(' ')
    .map((part) => (part === was ? now.trim() : part))
    .join(' ');
}
