import type { NamedAnswer } from '../../core/contract/named';
import type {
  ListedShorthand,
  NewShorthand,
  ShorthandToKeep,
  ShorthandToWrite,
} from '../../core/contract/shorthand';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { readPassages } from '../../core/fill/paths/scope';
import { inNames } from '../../core/template/naming';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { schemaOfBusiness } from '../../data/repositories/schemaOfBusiness';
import { deleteNamed } from '../../data/repositories/templates/deleteNamed';
import {
  insertShorthand,
  updateShorthand,
  type OwnedShorthand,
} from '../../data/repositories/templates/shorthand';
import { passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { beginningIn, changedAnswer, namedOnce, wrong } from './named';
import { readBody } from './ownWords';
import { ownedBy } from './shorthandHere';
import { wordsFacts } from './wordsContext';

/** One's own and the house's. */
export const listShorthand = forMember(async (member: CurrentMember): Promise<ListedShorthand[]> => {
  const { business_id } = member;
  const [all, passages, schema] = await Promise.all([
    ownedBy(member),
    passagesOfBusiness(connection(), business_id),
    schemaOfBusiness(connection(), business_id),
  ]);
  const begins = beginningIn({ schema, passages: readPassages(passages) }, passages);
  return all.map((one) => ({ ...listed(one), begins: begins(one.document) }));
});

function listed({ key, name, member_id, group }: OwnedShorthand) {
  return { key, name, own: member_id !== null, group };
}

/** One to be written. Undefined: there is none such, or it is somebody else's. */
export const shorthandToWrite = forMember(
  async (member: CurrentMember, key: string): Promise<ShorthandToWrite | undefined> => {
    const found = (await ownedBy(member)).find((one) => one.key === key);
    if (!found) return undefined;
    const passages = await passagesOfBusiness(connection(), member.business_id);
    const text = printMarkdown(inNames(found.document, { passages, signatures: [] }));
    return { ...listed(found), version: found.version, text };
  },
);

/** It says itself, until it says something else. */
function beginning(name: string): TemplateDocument {
  return { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: name }] }] };
}

/** Makes one, with words still to be written. */
export async function makeShorthand(
  member: CurrentMember,
  { name, house }: NewShorthand,
): Promise<NamedAnswer> {
  if (house) mustChangeShared(member);
  return namedOnce(taken(name), async () => ({
    result: 'done',
    key: await insert(member, name, house ? null : member.id),
    version: 1,
  }));
}

function taken(name: string): string {
  return `“${name}” stands for something already.`;
}

const insert = forMember(({ business_id }: CurrentMember, name: string, member_id: string | null) =>
  insertShorthand(connection(), business_id, member_id, name, beginning(name)),
);

/** Keeps what one says. */
export async function keepShorthand(
  member: CurrentMember,
  key: string,
  { version, name, text, group, startsFrom }: ShorthandToKeep,
): Promise<NamedAnswer> {
  const reading = await readBody(text, startsFrom, await wordsFacts(member));
  if (reading.problems) return wrong(reading.problems);
  const { document } = reading;
  return namedOnce(taken(name), () => update(member, key, { version, name, group, document }));
}

const update = forMember(
  async (
    member: CurrentMember,
    key: string,
    change: Parameters<typeof updateShorthand>[3],
  ): Promise<NamedAnswer> => {
    if (!(await mayChange(member, key))) return GONE;
    const changed = await updateShorthand(connection(), member.business_id, key, change);
    return changedAnswer('shorthand', changed, key, change.version + 1);
  },
);

/** Removes one. */
export const removeShorthand = forMember(
  async (member: CurrentMember, key: string, version: number): Promise<NamedAnswer> => {
    if (!(await mayChange(member, key))) return GONE;
    const changed = await deleteNamed(connection(), 'shorthand', member.business_id, key, version);
    return changedAnswer('shorthand', changed, key, version);
  },
);

const GONE: NamedAnswer = { result: 'gone', error: 'This shorthand is no longer there.' };

/** Whether there is one that is seen. @throws NotAllowed it is the house's, and may not be changed */
async function mayChange(member: CurrentMember, key: string): Promise<boolean> {
  const found = (await ownedBy(member)).find((one) => one.key === key);
  if (found?.member_id === null) mustChangeShared(member);
  return found !== undefined;
}
