import type { BroughtAnswer, ToBring } from '../../core/contract/bringTemplates';
import { NO_GROUP } from '../../core/contract/groups';
import type { WordsFacts } from '../../core/contract/templateWords';
import { STARTING_POINTS } from '../../core/records/recordKind';
import { inKeys } from '../../core/template/naming';
import type { Passage, Template } from '../../core/template/template';
import { insertPassage } from '../../data/repositories/templates/passages';
import { insertTemplate, templateNames } from '../../data/repositories/templates/templateLife';
import { keepVersion } from '../../data/repositories/templates/templateVersions';
import { groupsOfBusiness, templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { actTemplates } from '../templates/actTemplates';
import { makeGroup } from '../templates/changeGroups';
import { anotherCalled, plainName } from '../templates/named';
import { readBody } from '../templates/ownWords';
import { throwAway } from '../templates/trash';
import { wordsFacts } from '../templates/wordsContext';
import { readWords, saySlow } from '../templates/wordsReader';
import { headLoosely } from './headLoosely';
import { keepMeant } from './meantNames';

/** A template whose words were read, with where it goes. */
type Coming = ToBring['templates'][number] & { template: Template };

/** Why nothing came in. */
class Stays extends Error {
  constructor(readonly problems: { name: string; error: string }[]) {
    super('Nothing was brought in.');
  }
}

/**
 * Brings templates in that were read from files, with the passages that they need and what foreign names were said to mean: all of it,
 * or nothing.
 */
export async function bringTemplates(
  member: CurrentMember,
  { templates, passages, names }: ToBring,
): Promise<BroughtAnswer> {
  try {
    const facts = await wordsFacts(member);
    const coming = await readPassages(member, passages, facts);
    const read = await readAll(templates, {
      ...facts,
      passages: [...facts.passages, ...coming],
      // Its own group is made where there is none.
      groups: [
        ...facts.groups,
        ...templates.flatMap(({ text }) => said(text, 'group').map((name) => ({ name }))),
      ],
    });
    return await keepAll(member, read, coming, names);
  } catch (error) {
    if (!(error instanceof Stays)) throw error;
    const { problems, message } = error;
    return { result: 'wrong', error: message, problems };
  }
}

/** What a template's head has under a key, where that is text. */
function said(text: string, key: 'name' | 'group'): string[] {
  const value = headLoosely(text)[key];
  return typeof value === 'string' ? [value] : [];
}

/** Reads the passages that there are none of; what they stand on first. A key of theirs is not theirs for good yet. */
async function readPassages(
  member: CurrentMember,
  passages: ToBring['passages'],
  facts: WordsFacts,
): Promise<Passage[]> {
  const there = new Set(facts.passages.map(({ name }) => name.toLowerCase()));
  let left = passages.filter(({ name }) => !there.has(plainName(name).toLowerCase()));
  // Nor does one stop the others where nobody may make any: what needs it says so.
  if (!member.changesShared) return [];
  const read: Passage[] = [];
  let problems: { name: string; error: string }[] = [];
  for (let before = -1; left.length > 0 && before !== left.length;) {
    before = left.length;
    const still: typeof left = [];
    problems = [];
    for (const one of left) {
      const name = plainName(one.name);
      const document = await passageWords(one.text, { ...facts, passages: [...facts.passages, ...read] });
      if (typeof document === 'string') {
        still.push(one);
        problems.push({ name: `the passage “${one.name}”`, error: document });
      } else read.push({ key: ` ${read.length} ${name}`, name, document });
    }
    left = still;
  }
  if (problems.length) throw new Stays(problems);
  return read;
}

/** The words of a passage, which do for one starting point at least; or what is wrong with them. */
async function passageWords(text: string, facts: WordsFacts): Promise<Passage['document'] | string> {
  let wrong = '';
  for (const startsFrom of STARTING_POINTS) {
    const reading = await readBody(text, startsFrom, facts);
    if (!reading.problems) return reading.document;
    wrong ||= reading.problems[0] ?? '';
  }
  return wrong;
}

async function readAll(templates: ToBring['templates'], facts: WordsFacts): Promise<Coming[]> {
  const read: Coming[] = [];
  const problems: { name: string; error: string }[] = [];
  for (const one of templates) {
    const reading = await readWords(one.text, facts).catch(saySlow);
    if (reading.template) read.push({ ...one, template: reading.template });
    else
      problems.push({
        name: said(one.text, 'name')[0] ?? '',
        error: reading.problems[0]?.message ?? 'These words cannot be read.',
      });
  }
  if (problems.length) throw new Stays(problems);
  return read;
}

const keepAll = forMember(
  async (
    member: CurrentMember,
    coming: readonly Coming[],
    passages: readonly Passage[],
    names: ToBring['names'],
  ): Promise<BroughtAnswer> => {
    const { business_id, id } = member;
    const database = connection();
    await keepMeant(member, names);
    const made: { name: string; key: string }[] = [];
    const withKeys = <T>(written: T) => inKeys(written, { passages: made, signatures: [] });
    for (const { key, name, document } of passages)
      made.push({ name: key, key: await insertPassage(database, business_id, name, withKeys(document)) });
    const groups = new Map(
      (await groupsOfBusiness(database, business_id)).map((one) => [one.name.toLowerCase(), one.key]),
    );
    const taken = new Set(await templateNames(database, business_id));
    const firsts = new Set(
      (await actTemplates(member)).flatMap(({ act, templates }) =>
        templates.some(({ first }) => first) ? [act] : [],
      ),
    );
    const templates: { key: string; name: string; isNew: boolean }[] = [];
    for (const { template, group, instead } of coming) {
      const written = withKeys(template);
      const { name } = written.head;
      if (instead) {
        await groupFor(member, written.head.group, groups);
        templates.push({ key: await takePlace(member, instead, written), name, isNew: false });
        continue;
      }
      if (taken.has(name.toLowerCase())) throw new Stays([{ name, error: anotherCalled('template', name) }]);
      taken.add(name.toLowerCase());
      const { action, ...others } = written.head;
      const first = action?.first === true && !firsts.has(action.act);
      if (first) firsts.add(action.act);
      const head = {
        ...others,
        ...(action ? { action: { ...action, first } } : {}),
        ...(member.changesShared ? {} : { mine: true }),
      };
      const place = group === undefined ? await groupFor(member, head.group, groups) : group;
      const key = await insertTemplate(
        database,
        { business_id, member_id: id },
        { head, document: written.document },
        place,
      );
      templates.push({ key, name, isNew: true });
    }
    return { result: 'done', templates, passages: made.length };
  },
);

/** Keeps a template as a version of another, whose it stays. Gives its key. */
async function takePlace(
  member: CurrentMember,
  { key, version }: { key: string; version: number },
  { head, document }: Template,
): Promise<string> {
  const { business_id, id } = member;
  const standing = await templateByKey(connection(), business_id, id, key);
  if (standing && !standing.head.mine) mustChangeShared(member);
  const { mine: _, ...others } = head;
  const written = { head: { ...others, ...(standing?.head.mine ? { mine: true } : {}) }, document };
  const { result } = await keepVersion(connection(), { business_id, member_id: id }, key, version, written);
  if (result !== 'kept') throw new Stays([{ name: head.name, error: WHY_NOT[result] }]);
  return key;
}

const WHY_NOT = {
  gone: 'The template that it was to take the place of is no longer there.',
  overtaken: 'Somebody has changed the template that it was to take the place of.',
  refused: 'It would take a template of everyone’s away from the others.',
} as const;

/** The key of a group by its name; it is made where there is none, and whoever brings it in may make some. */
async function groupFor(
  member: CurrentMember,
  name: string,
  groups: Map<string, string>,
): Promise<string | null> {
  const known = groups.get(name.toLowerCase());
  if (known !== undefined) return known;
  if (name.toLowerCase() === NO_GROUP || !member.changesShared) return null;
  const made = await makeGroup(member, { name: name.slice(0, 60) });
  if (made.result !== 'done') return null;
  groups.set(name.toLowerCase(), made.key);
  return made.key;
}

/** Puts new templates in the trash again, all of them; one that an act of the work relies on stays. */
export const bringAway = forMember(async (member: CurrentMember, keys: readonly string[]): Promise<void> => {
  for (const key of keys) await throwAway(member, key);
});
