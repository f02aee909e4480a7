import type { ClientFacts } from '../../core/contract/records/client';
import type { Keeping } from '../../core/contract/records/keeping';
import {
  clientFacts as factsOf,
  insertClient,
  keepClient as keep,
} from '../../data/repositories/records/clients';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What is known of a client, as it is written by hand. */
export const clientFacts = forMember(async ({ business_id }: CurrentMember, key: string) =>
  factsOf(connection(), business_id, key),
);

/** Writes a new client down under an id, once. Gives the key. */
export const makeClient = forMember(
  async (
    { business_id, id: by }: CurrentMember,
    id: string,
    { version: _, ...facts }: ClientFacts,
  ): Promise<string> => insertClient(connection(), business_id, id, facts, by),
);

/** Keeps what is known of a client. */
export const keepClient = forMember(
  async (
    { business_id, id }: CurrentMember,
    key: string,
    asked: ClientFacts,
  ): Promise<Keeping<ClientFacts>> => {
    const database = connection();
    const kept = await keep(database, business_id, key, asked, id);
    if (kept.result === 'kept') return { result: 'kept', version: asked.version + 1 };
    if (kept.result === 'used')
      return {
        result: 'wrong',
        field: 'items',
        error: `${kept.item} stands in ${kept.bookings === 1 ? 'a booking' : `${kept.bookings} bookings`}: it stays.`,
      };
    const now = await factsOf(database, business_id, key);
    return now ? { result: 'overtaken', now } : { result: 'gone' };
  },
);
