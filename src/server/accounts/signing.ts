import { UniqueConstraintError } from 'sequelize';
import { domainOf } from '../../core/addressing/addresses';
import type { SigningAct, SigningAnswer, SigningDomain } from '../../core/contract/signing';
import { dayLately } from '../../core/describe/dayLately';
import { sendersOf } from '../../data/repositories/sending/sendersOf';
import {
  keepSigningKey,
  noteSeen,
  removeSigningKey,
  signingKey,
  signingKeys,
} from '../../data/repositories/sending/signingKeys';
import { lineOf, lookForLine, makeKeyPair } from '../../post/signing';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { NoKey } from '../sealing/keyring';
import { seal } from '../sealing/seal';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';

/** The first part of the name of a key's line. */
const SELECTOR = 'letters';

/** The domains that letters of the business come from, those with a key among them. */
export const signingDomains = forMember(async ({ business_id }: CurrentMember): Promise<SigningDomain[]> => {
  const [keys, domains, book] = await Promise.all([
    signingKeys(connection(), business_id),
    domainsOf(business_id),
    businessBook(business_id),
  ]);
  const known = new Map(keys.map((key) => [key.domain, key]));
  return [...new Set([...domains, ...known.keys()])].map((domain) => {
    const key = known.get(domain);
    if (!key) return { domain };
    const line = lineOf(domain, key.selector, key.public_key);
    return { domain, line, ...(key.seen_at ? { seen: dayLately(book)(key.seen_at.getTime()) } : {}) };
  });
});

/** Does what an owner wants about signing for a domain. @throws NotAllowed for anybody else */
export async function actOnSigning(
  member: CurrentMember,
  domain: string,
  act: SigningAct,
): Promise<SigningAnswer> {
  mustOwn(member);
  switch (act) {
    case 'make':
      return make(member, domain);
    case 'look':
      return look(member, domain);
    default:
      return (await takeOut(member, domain)) ? { result: 'done' } : NO_KEY;
  }
}

const NO_KEY: SigningAnswer = { result: 'gone', error: 'There is no key for this domain any more.' };

async function make(member: CurrentMember, domain: string): Promise<SigningAnswer> {
  const { business_id } = member;
  const pair = await makeKeyPair();
  try {
    const private_key = seal(pair.privateKey, { business_id, name: domain });
    return await keepKey(member, domain, { private_key, public_key: pair.publicKey });
  } catch (error) {
    if (error instanceof NoKey) return { result: 'wrong', error: error.message };
    // Two asked for one at once: there is one.
    if (error instanceof UniqueConstraintError) return { result: 'done' };
    throw error;
  }
}

const keepKey = forMember(
  async (
    { business_id }: CurrentMember,
    domain: string,
    pair: { private_key: Buffer; public_key: string },
  ): Promise<SigningAnswer> => {
    if (!(await domainsOf(business_id)).includes(domain))
      return { result: 'gone', error: 'No letters come from this domain.' };
    await keepSigningKey(connection(), { business_id, domain, selector: SELECTOR, ...pair, seen_at: null });
    return { result: 'done' };
  },
);

/** The network is asked outside of any transaction. */
async function look(member: CurrentMember, domain: string): Promise<SigningAnswer> {
  const key = await keyFor(member, domain);
  if (!key) return NO_KEY;
  const found = await lookForLine(lineOf(domain, key.selector, key.public_key).name, key.public_key);
  // Where nobody answers, what was seen before stands.
  if (found === 'not answered') return { result: 'looked', found };
  const seenAt = found === 'there' ? new Date(now()) : null;
  return (await noteIt(member, domain, seenAt)) ? { result: 'looked', found } : NO_KEY;
}

const keyFor = forMember(async ({ business_id }: CurrentMember, domain: string) =>
  signingKey(connection(), { business_id, domain }),
);
const noteIt = forMember(async ({ business_id }: CurrentMember, domain: string, seenAt: Date | null) =>
  noteSeen(connection(), { business_id, domain }, seenAt),
);
const takeOut = forMember(async ({ business_id }: CurrentMember, domain: string) =>
  removeSigningKey(connection(), { business_id, domain }),
);

async function domainsOf(business_id: string): Promise<string[]> {
  const senders = await sendersOf(connection(), business_id);
  return [...new Set(senders.map(domainOf))];
}
