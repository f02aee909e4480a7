import type { NamedAnswer } from '../../core/contract/named';
import type { ListedPassage, PassageToKeep, PassageToWrite, PassageUses } from '../../core/contract/passages';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { readPassages } from '../../core/fill/paths/scope';
import { inNames } from '../../core/template/naming';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import {
  insertPassage,
  passageByKey,
  namesOfPassages,
  passagesWithPassage,
  templatesWithPassage,
  updatePassage,
  usesOfPassages,
  type TemplateWithPassage,
} from '../../data/repositories/templates/passages';
import { passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { schemaOfBusiness } from '../../data/repositories/schemaOfBusiness';
import { deleteNamed } from '../../data/repositories/templates/deleteNamed';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { anotherCalled, beginningIn, changedAnswer, namedOnce, plainName, wrong } from './named';
import { readBody } from './ownWords';
import { wordsContext, wordsFacts } from './wordsContext';

/** The passages by name, with how they begin and where they stand. */
export const listPassages = forMember(async ({ business_id }: CurrentMember): Promise<ListedPassage[]> => {
  const [passages, uses, schema] = await Promise.all([
    passagesOfBusiness(connection(), business_id),
    usesOfPassages(connection(), business_id),
    schemaOfBusiness(connection(), business_id),
  ]);
  const begins = beginningIn({ schema, passages: readPassages(passages) }, passages);
  return passages.map(({ key, name, document }) => ({
    key,
    name,
    begins: begins(document),
    uses: uses.get(key)?.uses ?? 0,
    group: uses.get(key)?.group ?? null,
  }));
});

/** What the passages are called. */
export const passageNames = forMember(
  ({ business_id }: CurrentMember): Promise<{ key: string; name: string }[]> =>
    namesOfPassages(connection(), business_id),
);

/** A passage to be written, and where it stands. Undefined: there is no such passage. */
export const passageToWrite = forMember(
  async (member: CurrentMember, key: string): Promise<PassageToWrite | undefined> => {
    const { business_id } = member;
    const [passage, passages] = await Promise.all([
      passageByKey(connection(), business_id, key),
      passagesOfBusiness(connection(), business_id),
    ]);
    if (!passage) return undefined;
    const { name, version, document, group } = passage;
    const text = printMarkdown(inNames(document, { passages, signatures: [] }));
    return { key, name, version, text, group, uses: await usesOf(member, key) };
  },
);

async function usesOf({ business_id, id }: CurrentMember, key: string): Promise<PassageUses> {
  const [templates, passages] = await Promise.all([
    templatesWithPassage(connection(), business_id, key),
    passagesWithPassage(connection(), business_id, key),
  ]);
  const seen = templates.filter(({ owner_id }) => owner_id === null || owner_id === id);
  return {
    templates: seen.map((template) => ({ key: template.key, name: template.name })),
    passages,
    others: templates.length - seen.length,
  };
}

const EMPTY: TemplateDocument = {
  type: 'doc',
  content: [{ type: 'paragraph', content: [{ type: 'gap', attrs: { words: 'what it says' } }] }],
};

/** Makes a passage with a gap in it. */
export async function makePassage(member: CurrentMember, written: string): Promise<NamedAnswer> {
  mustChangeShared(member);
  const name = plainName(written);
  return namedOnce(anotherCalled('passage', name), async () => ({
    result: 'done',
    key: await insert(member, name),
    version: 1,
  }));
}

const insert = forMember(({ business_id }: CurrentMember, name: string) =>
  insertPassage(connection(), business_id, name, EMPTY),
);

/** Keeps a passage's words. Every template that it stands in must be filled with them as well. */
export async function keepPassage(
  member: CurrentMember,
  key: string,
  { version, name: written, text, group, startsFrom }: PassageToKeep,
): Promise<NamedAnswer> {
  mustChangeShared(member);
  const name = plainName(written);
  const facts = await wordsFacts(member);
  const reading = await readBody(text, startsFrom, facts);
  if (reading.problems) return wrong(reading.problems);
  const { document } = reading;
  const passages = facts.passages.map((one) => (one.key === key ? { ...one, name, document } : one));
  const context = { schema: wordsContext(facts).schema, passages: readPassages(passages) };
  const broken = (await withPassage(member, key)).flatMap(
    ({ name: called, owner_id, head: own, document: words }) => {
      const [first] = compileTemplate({ head: own, document: words }, context).problems;
      const where =
        owner_id === null || owner_id === member.id ? `In “${called}”` : 'In a template of somebody else';
      return first ? [`${where}: ${first.message}`] : [];
    },
  );
  if (broken.length > 0) return wrong(broken);
  return namedOnce(anotherCalled('passage', name), async () =>
    changedAnswer('passage', await update(member, key, { version, name, document, group }), key, version + 1),
  );
}

const withPassage = forMember(({ business_id }: CurrentMember, key: string): Promise<TemplateWithPassage[]> =>
  templatesWithPassage(connection(), business_id, key),
);

const update = forMember(
  ({ business_id }: CurrentMember, key: string, next: Parameters<typeof updatePassage>[3]) =>
    updatePassage(connection(), business_id, key, next),
);

/** Removes a passage that stands nowhere. */
export const removePassage = forMember(
  async (member: CurrentMember, key: string, version: number): Promise<NamedAnswer> => {
    mustChangeShared(member);
    const { templates, passages, others } = await usesOf(member, key);
    const count = templates.length + passages.length + others;
    if (count > 0) {
      const places = count === 1 ? 'one place' : `${count} places`;
      return { result: 'used', error: `It stands in ${places}. Take it out there first.` };
    }
    return changedAnswer(
      'passage',
      await deleteNamed(connection(), 'passage', member.business_id, key, version),
      key,
      version,
    );
  },
);
