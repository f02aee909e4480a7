import { isDeepStrictEqual } from 'node:util';
import type { Keeping } from '../../core/contract/records/keeping';
import type { FactsOf } from '../../core/contract/records/recordForms';
import type { FormKind } from '../../core/contract/records/formKinds';
import type { InvoiceFacts } from '../../core/contract/records/invoice';
import { insertKept, keepKept, keptFacts, NoSuchRecord } from '../../data/repositories/records/keptRecords';
import { becameClient, becameWork } from '../../data/repositories/records/enquiries';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { clientFacts, keepClient, makeClient } from '../clients/keepClient';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What is known of a record, as it is written by hand. Undefined: there is none of that key. */
export const recordFacts = forMember(
  async <Kind extends FormKind>(
    member: CurrentMember,
    kind: Kind,
    key: string,
  ): Promise<FactsOf[Kind] | undefined> => {
    if (kind === 'client') return (await clientFacts(member, key)) as FactsOf[Kind] | undefined;
    const { business_id } = member;
    const zone = await zoneOfBusiness(connection(), business_id);
    return keptFacts(connection(), business_id, kind as never, key, zone);
  },
);

/**
 * Writes a new record down under an id, once.
 * @param enquiry the key of the enquiry that led to it, which became work thereby
 */
export const makeRecord = forMember(
  async <Kind extends FormKind>(
    member: CurrentMember,
    kind: Kind,
    id: string,
    facts: FactsOf[Kind],
    enquiry?: string,
  ): Promise<Keeping<FactsOf[Kind]>> => {
    const { version: _, ...known } = facts;
    const { business_id } = member;
    if (kind === 'client') {
      const key = await makeClient(member, id, facts as FactsOf['client']);
      if (enquiry !== undefined) await becameClient(connection(), business_id, enquiry, key);
      return { result: 'kept', version: 1, key };
    }
    if (kind === 'invoice' && (facts as InvoiceFacts).status !== 'draft')
      return { result: 'wrong', field: 'status', error: 'A new invoice is a draft until it is issued.' };
    return namingTheMissing(async () => {
      const key = await insertKept(connection(), business_id, kind as never, id, known as never);
      if (enquiry !== undefined) await becameWork(connection(), business_id, enquiry);
      return { result: 'kept', version: 1, key };
    });
  },
);

/** Keeps what is known of a record. */
export const keepRecord = forMember(
  async <Kind extends FormKind>(
    member: CurrentMember,
    kind: Kind,
    key: string,
    asked: FactsOf[Kind],
  ): Promise<Keeping<FactsOf[Kind]>> => {
    if (kind === 'client') return keepClient(member, key, asked as FactsOf['client']) as never;
    const before = await recordFacts(member, kind, key);
    if (before === undefined) return { result: 'gone' };
    if (before.version !== asked.version) return { result: 'overtaken', now: before as FactsOf[Kind] };
    const fixed = whatStays(kind, before, asked);
    if (fixed) return { result: 'wrong', ...fixed };
    return namingTheMissing<FactsOf[Kind]>(async () => {
      const kept = await keepKept(connection(), member.business_id, kind as never, key, asked as never);
      if (kept) return { result: 'kept', version: asked.version + 1 };
      const now = await recordFacts(member, kind, key);
      return now ? { result: 'overtaken', now: now as FactsOf[Kind] } : { result: 'gone' };
    });
  },
);

/** What of a record cannot be changed by its form, with words for it. */
function whatStays(
  kind: FormKind,
  before: object,
  asked: object,
): { field: string; error: string } | undefined {
  const was = before as Readonly<Record<string, unknown>>;
  const is = asked as Readonly<Record<string, unknown>>;
  if (kind !== 'enquiry' && was.client !== is.client)
    return { field: 'client', error: 'It stays with its client. Write another down for another client.' };
  if (kind !== 'invoice') return undefined;
  if (was.status !== is.status)
    return { field: 'status', error: 'It is issued, or made void, on its own page.' };
  if (was.status === 'void') return { field: 'status', error: 'It is void, and stays as it is.' };
  if (was.status === 'draft') return undefined;
  for (const fact of ['lines', 'issued_on'])
    if (!isDeepStrictEqual(plain(was[fact]), plain(is[fact])))
      return { field: fact, error: 'It was issued: this stays. Make it void, and write another.' };
  return undefined;
}

function plain(value: unknown): unknown {
  return value === undefined ? undefined : JSON.parse(JSON.stringify(value));
}

async function namingTheMissing<Facts>(work: () => Promise<Keeping<Facts>>): Promise<Keeping<Facts>> {
  try {
    return await connection().inTransaction(work);
  } catch (error) {
    if (!(error instanceof NoSuchRecord)) throw error;
    return { result: 'wrong', field: error.fact, error: error.message };
  }
}
