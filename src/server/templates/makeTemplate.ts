import { UniqueConstraintError } from 'sequelize';
import type { NewTemplate, TemplateAnswer } from '../../core/contract/templates';
import type { Template } from '../../core/template/template';
import { readMarkdown } from '../../core/template/text/readMarkdown';
import { LineIndex } from '../../core/problems/problem';
import { insertTemplate, templateNames } from '../../data/repositories/templates/templateLife';
import { groupOfTemplate, templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** What a new template says: it greets, leaves a gap that no letter goes with, and is signed. */
const BEGINNING = 'Hello {{recipient.greeting_name}},\n\n{{gap "what you want to say"}}\n\n{{signature}}\n';

/** Makes a template with the first words of a letter. */
export async function makeTemplate(
  member: CurrentMember,
  { name: written, startsFrom, group }: NewTemplate,
): Promise<TemplateAnswer> {
  const name = written.trim();
  const document = readMarkdown(BEGINNING, new LineIndex(BEGINNING, name), new WeakMap(), []);
  const head: Template['head'] = { name, group: '', startsFrom, subject: [{ type: 'text', text: name }] };
  try {
    return { result: 'done', key: await insert(member, { head, document }, group) };
  } catch (error) {
    return nameTaken(error, `There is another template called “${name}”.`);
  }
}

const insert = forMember(({ business_id, id }: CurrentMember, template: Template, group: string | null) =>
  insertTemplate(connection(), { business_id, member_id: id }, template, group),
);

/** Copies a template beside itself, under a name that is free. */
export const copyTemplate = forMember(
  async ({ business_id, id }: CurrentMember, key: string): Promise<TemplateAnswer> => {
    const database = connection();
    const template = await templateByKey(database, business_id, id, key);
    if (!template) return { result: 'gone', error: 'This template is no longer there.' };
    const names = await templateNames(database, business_id);
    const { head, document } = template;
    const { action, ...others } = head;
    // Two that are first of an act would be none.
    const kept = action ? { ...others, action: { ...action, first: false } } : others;
    const copy = { head: { ...kept, name: freeName(head.name, names) }, document };
    const group = await groupOfTemplate(database, business_id, key);
    return {
      result: 'done',
      key: await insertTemplate(database, { business_id, member_id: id }, copy, group),
    };
  },
);

/** "First reminder, copy", "First reminder, copy 2". */
function freeName(name: string, taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) {
    const copy = `${name}, copy${n === 1 ? '' : ` ${n}`}`;
    if (!taken.has(copy.toLowerCase())) return copy;
  }
}

/** Another template that has the name is no failure: it is said in words. @throws what is another error */
export function nameTaken(error: unknown, words: string): TemplateAnswer {
  if (!(error instanceof UniqueConstraintError)) throw error;
  return { result: 'taken', error: words, field: 'name' };
}
