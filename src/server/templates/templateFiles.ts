import type { Readable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import type { ZipFile } from 'yazl';
import { picturesOf } from '../../core/adopting/foreignPictures';
import { NO_GROUP } from '../../core/contract/groups';
import type { TemplateForm } from '../../core/contract/templates';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { fileName, freeName } from '../../core/files/fileNames';
import { isKeptPicture } from '../../core/fill/write/images';
import { printTemplateJson } from '../../core/takingOut/templateJson';
import { templatePage } from '../../core/takingOut/templatePage';
import { inNames } from '../../core/template/naming';
import type { Template } from '../../core/template/template';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { printTemplate } from '../../core/template/text/printTemplate';
import { picturesOfBusiness, type Picture } from '../../data/repositories/files/pictures';
import { sharedWords, type SharedWords } from '../../data/repositories/templates/sharedWords';
import {
  standingVersions,
  templateByKey,
  templatesByKey,
} from '../../data/repositories/templates/templatesOfBusiness';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { zipInSnapshot } from '../archive/zipInSnapshot';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

const ENDINGS: Readonly<Record<TemplateForm, string>> = { text: 'md', json: 'json', page: 'html' };
/** So many are read at once. */
const AT_ONCE = 100;

/** One template as a file. Undefined: there is none that the member may see. */
export const templateFile = forMember(
  async ({ business_id, id }: CurrentMember, key: string, form: TemplateForm) => {
    const template = await templateByKey(connection(), business_id, id, key);
    if (!template) return undefined;
    const shared = await sharedWords(connection(), business_id);
    const named = inNames({ head: template.head, document: template.document }, shared);
    const content = written(named, form, await picturesIn(business_id, [named]));
    return { name: nameFor(named.head.name, form), content: Buffer.from(content) };
  },
);

/** All templates that a member may see, under their groups, with the passages and pictures that stand in them: a zip. */
export async function templateFiles(
  member: CurrentMember,
  form: TemplateForm,
): Promise<{ name: string; content: Readable }> {
  const { business_id } = member;
  const content = zipInSnapshot(connection(), business_id, async (zip, end) => {
    const shared = await sharedWords(connection(), business_id);
    const pictures = await addTemplates(zip, member, form, shared);
    const passages = shared.passages.map(({ name, document }) => ({
      name,
      document: inNames(document, shared),
    }));
    const names: string[] = [];
    for (const { name, document } of passages) {
      const head = printTemplate({
        head: { name } as Template['head'],
        document: { type: 'doc', content: [] },
      });
      add(zip, names, `passages/${nameFor(name, 'text')}`, `${head}${printMarkdown(document)}`);
    }
    for (const [sum, picture] of new Map([...pictures, ...(await picturesIn(business_id, passages))]))
      zip.addBuffer(picture.content, `pictures/${sum}.${picture.type.replace(/^image\/|\+.*$/g, '')}`, {
        compress: false,
      });
    await end();
  });
  return { name: `templates-${await today(member)}.zip`, content };
}

const today = forMember(async ({ business_id }: CurrentMember) =>
  isoOf(dayAt(now(), await zoneOfBusiness(connection(), business_id))),
);

/** Gives the pictures that stand in them. */
async function addTemplates(
  zip: ZipFile,
  { business_id, id }: CurrentMember,
  form: TemplateForm,
  shared: SharedWords,
): Promise<ReadonlyMap<string, Picture>> {
  const database = connection();
  const keys = (await standingVersions(database, business_id, id)).map(({ key }) => key);
  const names: string[] = [];
  const all = new Map<string, Picture>();
  for (let at = 0; at < keys.length; at += AT_ONCE) {
    const found = await templatesByKey(database, business_id, id, keys.slice(at, at + AT_ONCE));
    const templates = found.map(({ head, document }) => inNames({ head, document }, shared));
    const pictures = await picturesIn(business_id, templates);
    for (const template of templates) {
      const { name, group } = template.head;
      const folder = group === NO_GROUP ? 'No group' : fileName(group) || 'Group';
      add(zip, names, `${folder}/${nameFor(name, form)}`, written(template, form, pictures));
      // Many take long altogether: others have their turn.
      await setImmediate();
    }
    // A page has its own within it.
    if (form !== 'page') for (const [sum, picture] of pictures) all.set(sum, picture);
  }
  return all;
}

function add(zip: ZipFile, names: string[], wanted: string, text: string): void {
  const name = freeName(wanted, names);
  names.push(name);
  zip.addBuffer(Buffer.from(text), name);
}

function nameFor(name: string, form: TemplateForm): string {
  return `${fileName(name.replace(/[/\\:*?"<>|]/g, '-')) || 'Template'}.${ENDINGS[form]}`;
}

function written(template: Template, form: TemplateForm, pictures: ReadonlyMap<string, Picture>): string {
  if (form === 'text') return printTemplate(template);
  if (form === 'json') return printTemplateJson(template);
  return templatePage(template, (source) => {
    const picture = pictures.get(source);
    return picture && `data:${picture.type};base64,${picture.content.toString('base64')}`;
  });
}

function picturesIn(
  business_id: string,
  templates: readonly Pick<Template, 'document'>[],
): Promise<Map<string, Picture>> {
  const named = templates.flatMap(({ document }) => picturesOf(document).map(({ source }) => source));
  return picturesOfBusiness(connection(), business_id, [...new Set(named.filter(isKeptPicture))]);
}
