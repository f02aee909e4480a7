import type { Keeping } from '../../core/contract/records/keeping';
import type { OwnField, OwnFieldsFacts, OwnLinksFacts } from '../../core/contract/records/ownFields';
import { sayFact } from '../../core/template/factOf';
import { capital } from '../../core/describe/capital';
import {
  countChange,
  keepOwnFields,
  keepOwnLinks,
  ownFields as fieldsOf,
  ownLinks as linksOf,
  recordsWithField,
} from '../../data/repositories/records/ownFields';
import { wordsWith } from '../../data/repositories/templates/wordsWith';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';

type Wrong = { result: 'wrong'; field: string; error: string };

/** The fields that the business keeps of its own. */
export const ownFields = forMember(({ business_id }: CurrentMember) => fieldsOf(connection(), business_id));

/** The links that are kept once. */
export const ownLinks = forMember(({ business_id }: CurrentMember) => linksOf(connection(), business_id));

/** Keeps the fields: what letters say stays, and so does what some record says. */
export const keepFields = forMember(
  async (member: CurrentMember, asked: OwnFieldsFacts): Promise<Keeping<OwnFieldsFacts>> => {
    mustChangeShared(member);
    const { business_id } = member;
    const before = await fieldsOf(connection(), business_id);
    if (before.version !== asked.version) return { result: 'overtaken', now: before };
    const wrong = await whatStays(business_id, before.fields, asked.fields);
    if (wrong) return wrong;
    if (!(await countChange(connection(), business_id, asked.version)))
      return { result: 'overtaken', now: await fieldsOf(connection(), business_id) };
    await keepOwnFields(connection(), business_id, before.fields, asked.fields);
    return { result: 'kept', version: asked.version + 1 };
  },
);

/** Keeps the links: one that letters have stays. */
export const keepLinks = forMember(
  async (member: CurrentMember, asked: OwnLinksFacts): Promise<Keeping<OwnLinksFacts>> => {
    mustChangeShared(member);
    const { business_id } = member;
    const before = await linksOf(connection(), business_id);
    if (before.version !== asked.version) return { result: 'overtaken', now: before };
    const kept = new Set(asked.links.map(({ key }) => key));
    for (const { key, name } of before.links) {
      if (kept.has(key)) continue;
      const uses = await usesOf(business_id, `links.${key}`);
      if (uses) return { result: 'wrong', field: 'links', error: `“${name}” stays. ${uses}` };
    }
    if (!(await countChange(connection(), business_id, asked.version)))
      return { result: 'overtaken', now: await linksOf(connection(), business_id) };
    await keepOwnLinks(connection(), business_id, asked.links);
    return { result: 'kept', version: asked.version + 1 };
  },
);

async function whatStays(
  business_id: string,
  before: readonly OwnField[],
  after: readonly OwnField[],
): Promise<Wrong | undefined> {
  const seen = new Set<string>();
  for (const [at, { record, key, label }] of after.entries()) {
    const name = `${record} ${key ?? label.toLowerCase()}`;
    const isKnown = !key || before.some((one) => one.record === record && one.key === key);
    if (!isKnown || seen.has(name))
      return { result: 'wrong', field: `fields.${at}.label`, error: 'There is another of this name.' };
    seen.add(name);
  }
  for (const field of before) {
    const at = after.findIndex(({ record, key }) => record === field.record && key === field.key);
    if (at < 0) {
      const uses = await usesOf(business_id, `${field.record}.custom.${field.key}`);
      if (uses) return { result: 'wrong', field: 'fields', error: `“${field.label}” stays. ${uses}` };
      continue;
    }
    const now = after[at]!;
    if (
      now.type !== field.type &&
      (await recordsWithField(connection(), business_id, field.record, field.key!))
    )
      return {
        result: 'wrong',
        field: `fields.${at}.type`,
        error: `There are values of it by now: it stays ${field.type}.`,
      };
    for (const choice of (field.choices ?? []).filter((one) => !now.choices?.includes(one))) {
      const records = await recordsWithField(connection(), business_id, field.record, field.key!, choice);
      if (records > 0)
        return {
          result: 'wrong',
          field: `fields.${at}.choices`,
          error: `“${choice}” is chosen ${records === 1 ? 'once' : `${records} times`}: it stays.`,
        };
    }
  }
  return undefined;
}

/** Where a fact is said, in a sentence; undefined: nowhere. */
async function usesOf(business_id: string, fact: string): Promise<string | undefined> {
  const last = fact.split('.').slice(-2).join('.');
  const words = (await wordsWith(connection(), business_id, last)).filter(({ content }) =>
    sayFact(content, fact),
  );
  if (words.length === 0) return undefined;
  const named = words.slice(0, 5).map(({ kind, name }) => `${kind} “${name}”`);
  const more = words.length - named.length;
  return capital(
    `it is said in ${new Intl.ListFormat('en-GB').format([...named, ...(more > 0 ? [`${more} more`] : [])])}. Take it out there first.`,
  );
}
