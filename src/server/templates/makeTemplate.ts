import type { NewTemplate, TemplateAnswer } from '../../core/contract/templates';
import { copyOfName } from '../../core/template/freeTemplateName';
import type { Template } from '../../core/template/template';
import { readMarkdown } from '../../core/template/text/readMarkdown';
import { LineIndex } from '../../core/problems/problem';
import { insertTemplate, templateNames } from '../../data/repositories/templates/templateLife';
import { groupOfTemplate, templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { anotherCalled, namedOnce } from './named';
import { wordsFacts } from './wordsContext';
import { readWords, saySlow } from './wordsReader';

/** What a new template says: it greets, leaves a gap that no letter goes with, and is signed. */
const BEGINNING = 'Hello {{recipient.greeting_name}},\n\n{{gap "what you want to say"}}\n\n{{signature}}\n';

/** Makes a template: with the words that are given, else with the first words of a letter. */
export async function makeTemplate(
  member: CurrentMember,
  { name: written, startsFrom, group, text }: NewTemplate,
): Promise<TemplateAnswer> {
  const name = written.trim();
  const given =
    text === undefined ? undefined : await readWords(text, await wordsFacts(member)).catch(saySlow);
  if (given && !given.template)
    return { result: 'wrong', error: given.problems[0]?.message ?? 'These words cannot be read.' };
  const { subject, language } = given?.template?.head ?? { subject: [{ type: 'text', text: name }] };
  const document =
    given?.template?.document ?? readMarkdown(BEGINNING, new LineIndex(BEGINNING, name), new WeakMap(), []);
  const head: Template['head'] = {
    name,
    group: '',
    startsFrom,
    subject,
    ...(language === undefined ? {} : { language }),
    ...whose(member),
  };
  return namedOnce(anotherCalled('template', name), async () => ({
    result: 'done',
    key: await insert(member, { head, document }, group),
  }));
}

const insert = forMember(({ business_id, id }: CurrentMember, template: Template, group: string | null) =>
  insertTemplate(connection(), { business_id, member_id: id }, template, group),
);

/** Copies a template beside itself, under a name that is free. */
export const copyTemplate = forMember(async (member: CurrentMember, key: string): Promise<TemplateAnswer> => {
  const { business_id, id } = member;
  const database = connection();
  const template = await templateByKey(database, business_id, id, key);
  if (!template) return { result: 'gone', error: 'This template is no longer there.' };
  const names = await templateNames(database, business_id);
  const { head, document } = template;
  const { action, ...others } = head;
  // Two that are first of an act would be none.
  const kept = action ? { ...others, action: { ...action, first: false } } : others;
  const copy = { head: { ...kept, ...whose(member), name: copyOfName(head.name, names) }, document };
  const group = await groupOfTemplate(database, business_id, key);
  return {
    result: 'done',
    key: await insertTemplate(database, { business_id, member_id: id }, copy, group),
  };
});

/** A new template is everyone's where its maker may change those; else it is its maker's own. */
function whose({ changesShared }: CurrentMember): { mine?: true } {
  return changesShared ? {} : { mine: true };
}
