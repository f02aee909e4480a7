import { UniqueConstraintError } from 'sequelize';
import type {
  ListedPassage,
  PassageAnswer,
  PassageToKeep,
  PassageToWrite,
  PassageUses,
} from '../../core/contract/passages';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { readPassages } from '../../core/fill/paths/scope';
import { inNames } from '../../core/template/naming';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { wordsIn } from '../../core/template/wordsOfTemplate';
import type { Changed } from '../../data/repositories/templates/groups';
import {
  deletePassage,
  insertPassage,
  passageByKey,
  passagesWithPassage,
  templatesWithPassage,
  updatePassage,
  usesOfPassages,
  type TemplateWithPassage,
} from '../../data/repositories/templates/passages';
import { passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { wordsContext, wordsFacts } from './wordsContext';
import { readWords, saySlow } from './wordsReader';

/** The passages by name, with how they begin and where they stand. */
export const listPassages = forMember(async ({ business_id }: CurrentMember): Promise<ListedPassage[]> => {
  const [passages, uses] = await Promise.all([
    passagesOfBusiness(connection(), business_id),
    usesOfPassages(connection(), business_id),
  ]);
  return passages.map(({ key, name, document }) => ({
    key,
    name,
    begins: wordsIn(document.content).slice(0, 120),
    uses: uses.get(key) ?? 0,
  }));
});

/** A passage to be written, and where it stands. Undefined: there is no such passage. */
export const passageToWrite = forMember(
  async (member: CurrentMember, key: string): Promise<PassageToWrite | undefined> => {
    const { business_id } = member;
    const [passage, passages] = await Promise.all([
      passageByKey(connection(), business_id, key),
      passagesOfBusiness(connection(), business_id),
    ]);
    if (!passage) return undefined;
    const { name, version, document } = passage;
    const text = printMarkdown(inNames(document, { passages }));
    return { key, name, version, text, uses: await usesOf(member, key) };
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
export async function makePassage(member: CurrentMember, written: string): Promise<PassageAnswer> {
  const name = plain(written);
  return namedOnce(name, async () => ({ result: 'done', key: await insert(member, name), version: 1 }));
}

const insert = forMember(({ business_id }: CurrentMember, name: string) =>
  insertPassage(connection(), business_id, name, EMPTY),
);

/** Keeps a passage's words. Every template that it stands in must be filled with them as well. */
export async function keepPassage(
  member: CurrentMember,
  key: string,
  { version, name: written, text, startsFrom }: PassageToKeep,
): Promise<PassageAnswer> {
  const name = plain(written);
  const facts = await wordsFacts(member);
  // Judged as the words of a template that starts there; its own head has no mistakes.
  const head = `---\nname: passage\ngroup: none\nstarts from: ${startsFrom}\nsubject: passage\n---\n`;
  const { template, problems } = await readWords(head + text, facts).catch(saySlow);
  if (!template) return wrong(problems.map(({ message }) => message));
  const { document } = template;
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
  return namedOnce(name, async () =>
    answerOf(await update(member, key, { version, name, document }), key, version + 1),
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
  async (member: CurrentMember, key: string, version: number): Promise<PassageAnswer> => {
    const { templates, passages, others } = await usesOf(member, key);
    const count = templates.length + passages.length + others;
    if (count > 0) {
      const places = count === 1 ? 'one place' : `${count} places`;
      return { result: 'used', error: `It stands in ${places}. Take it out there first.` };
    }
    return answerOf(await deletePassage(connection(), member.business_id, key, version), key, version);
  },
);

function plain(name: string): string {
  return name.trim().replace(/\s+/g, ' ');
}

function wrong(problems: string[]): PassageAnswer {
  return { result: 'wrong', error: problems.join(' '), problems };
}

async function namedOnce(name: string, work: () => Promise<PassageAnswer>): Promise<PassageAnswer> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return { result: 'taken', error: `There is another passage called “${name}”.`, field: 'name' };
  }
}

function answerOf(changed: Changed, key: string, version: number): PassageAnswer {
  if (changed === 'done') return { result: 'done', key, version };
  if (changed === 'gone') return { result: 'gone', error: 'This passage is no longer there.' };
  return {
    result: 'overtaken',
    error: 'Somebody has changed this passage since you opened it. What you wrote is still here.',
  };
}
