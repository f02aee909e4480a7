import type { ListEntry } from '../../core/contract/list';
import type { MergeClient } from '../../core/contract/merging';
import type { ClientFacts } from '../../core/contract/records/client';
import { dayLately } from '../../core/describe/dayLately';
import { FactWords } from '../../core/describe/factWords';
import { headingOf } from '../../core/describe/headings';
import { differingFacts, mergeFacts, type MergedFact } from '../../core/work/mergeFacts';
import { clientFacts as factsOf } from '../../data/repositories/records/clients';
import {
  mergeClients as merge,
  mergedInto,
  unmergeClients,
} from '../../data/repositories/records/mergeClients';
import { startingRecord } from '../../data/repositories/startingRecords';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { findRecords } from '../lists/listRecords';
import type { CurrentMember } from '../signIn/currentMember';

/** It can be undone for a day. */
const UNDONE_FOR = 86_400_000;
/** So many likely doubles are shown. */
const MOST = 6;

/** Clients that are likely the same as one: with its address, one of its numbers, or its name. */
export const likelyDoubles = forMember(async (member: CurrentMember, key: string): Promise<ListEntry[]> => {
  const facts = await factsOf(connection(), member.business_id, key);
  if (!facts) return [];
  const found = new Map<string, ListEntry>();
  for (const words of [facts.email, facts.phone, facts.mobile, facts.name]) {
    if (!words || found.size > MOST) continue;
    for (const entry of (await findRecords(member, 'client', words)).entries)
      if (entry.key !== key) found.set(entry.key, entry);
  }
  return [...found.values()].slice(0, MOST);
});

/** What two records of a client say otherwise, each fact in words. */
export interface Differing {
  fact: MergedFact;
  heading: string;
  kept: string;
  gone: string;
}

/** Two records to be looked at side by side. Undefined: one of them is not there. */
export const twoClients = forMember(async ({ business_id }: CurrentMember, key: string, other: string) => {
  const database = connection();
  const [kept, gone] = [
    await factsOf(database, business_id, key),
    await factsOf(database, business_id, other),
  ];
  if (!kept || !gone || key === other) return undefined;
  const words = new FactWords(await businessBook(business_id));
  const say = (facts: ClientFacts, fact: MergedFact): string => {
    switch (fact) {
      case 'address':
      case 'billing_address':
        return words.address(facts[fact]) ?? '';
      case 'since':
        return words.date(facts.since) ?? '';
      case 'no_letters_since':
        return words.date(facts.no_letters_since) ?? '';
      case 'responsible':
        return words.member(facts.responsible) ?? '';
      default:
        return String(facts[fact] ?? '');
    }
  };
  return {
    kept: { name: kept.name, version: kept.version },
    gone: { name: gone.name, version: gone.version },
    differing: differingFacts(kept, gone).map((fact): Differing => ({
      fact,
      heading: headingOf('client', fact),
      kept: say(kept, fact),
      gone: say(gone, fact),
    })),
  };
});

/** Makes one client of two, where both are as they were seen; gives whether they were. */
export const mergeClient = forMember(
  async (
    member: CurrentMember,
    key: string,
    { version, gone, goneVersion, take }: MergeClient,
  ): Promise<boolean> => {
    const database = connection();
    const { business_id } = member;
    const [one, other] = [
      await factsOf(database, business_id, key),
      await factsOf(database, business_id, gone),
    ];
    if (!one || !other) return false;
    const twice = { kept: { key, version }, gone: { key: gone, version: goneVersion } };
    const facts = mergeFacts(one, other, take);
    return (await merge(database, member, twice, facts, new Date(now()))) !== undefined;
  },
);

/** What went into a client within the day, in words. */
export const mergedLately = forMember(async ({ business_id }: CurrentMember, key: string) => {
  const database = connection();
  const client = await startingRecord(database, business_id, { kind: 'client', key });
  if (!client) return [];
  const merged = await mergedInto(database, business_id, client.id, new Date(now() - UNDONE_FOR));
  if (merged.length === 0) return [];
  const dayOf = dayLately(await businessBook(business_id));
  return merged.map(({ id, name, merged_at, member }) => ({
    id,
    words: `“${name}” went into this client ${dayOf(merged_at.getTime())}, by ${member}.`,
  }));
});

/** Makes two of them again. Gives the key of the other; undefined: it is too long ago. */
export const unmergeClient = forMember(({ business_id }: CurrentMember, id: string) =>
  unmergeClients(connection(), business_id, id, new Date(now() - UNDONE_FOR)),
);
