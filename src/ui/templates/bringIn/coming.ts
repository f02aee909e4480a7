import { adopt, type ForeignName, type Meant } from '../../../core/adopting/adopt';
import type { ReadTemplate, ToBring } from '../../../core/contract/bringTemplates';
import { NO_GROUP } from '../../../core/contract/groups';
import { eachPart } from '../../../core/document/eachPart';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import { freeTemplateName } from '../../../core/template/freeTemplateName';
import type { Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { readTemplate } from '../../../core/template/text/readTemplate';

/** What becomes of a template that comes in. */
export type Way = 'new' | 'instead' | 'out';

/** A template as it would come in. */
export interface Coming {
  file: string;
  isOwn: boolean;
  template: Template;
  names: ForeignName[];
  /** what was left out of it, in words */
  besides: readonly string[];
  /** how many gaps it has */
  gaps: number;
}

/** A template that is there under a name: its key, its version and its words in their text form. */
export interface There {
  key: string;
  version: number;
  text: string;
}

/** What was read, as it would come in. @param meant what foreign names mean */
export function comingOf(
  read: readonly ReadTemplate[],
  context: CompileContext,
  meant: ReadonlyMap<string, Meant>,
): Coming[] {
  return read.flatMap((one): Coming[] => {
    const known = lately.get(one);
    if (known?.context === context && known.meant === meantIn(known.coming, meant)) return known.coming;
    const coming = adopted(one, context, meant);
    lately.set(one, { context, meant: meantIn(coming, meant), coming });
    return coming;
  });
}

/** Of hundreds of templates one answer changes few: the others stay as they were worked out. */
const lately = new WeakMap<ReadTemplate, { context: CompileContext; meant: string; coming: Coming[] }>();

/** What the names of a template were said to mean, as one comparable text. */
function meantIn(coming: readonly Coming[], meant: ReadonlyMap<string, Meant>): string {
  return JSON.stringify(coming.flatMap(({ names }) => names.map(({ key }) => meant.get(key) ?? null)));
}

/** Nothing, where our own words cannot be read. */
function adopted(one: ReadTemplate, context: CompileContext, meant: ReadonlyMap<string, Meant>): Coming[] {
  const { file, besides } = one;
  if ('own' in one) {
    const { value } = readTemplate(one.own, file);
    if (!value) return [];
    return [{ file, isOwn: true, template: value, names: [], besides, gaps: gapsIn(value) }];
  }
  const { template, names, besides: left } = adopt(one.foreign, context, meant);
  return [{ file, isOwn: false, template, names, besides: left, gaps: gapsIn(template) }];
}

function gapsIn({ head, document }: Template): number {
  let count = 0;
  for (const { part } of eachPart([...head.subject, ...document.content])) if (part.type === 'gap') count++;
  return count;
}

/** A foreign name over all that comes in: how often it stands there, and in how many templates. */
export interface AskedName extends ForeignName {
  templates: number;
}

/** The foreign names of what comes in, those in most templates first. */
export function namesOf(coming: readonly Coming[]): AskedName[] {
  const all = new Map<string, AskedName>();
  for (const { names } of coming)
    for (const name of names) {
      const known = all.get(name.key);
      if (known) {
        known.times += name.times;
        known.templates++;
      } else all.set(name.key, { ...name, templates: 1 });
    }
  return [...all.values()].sort((a, b) => b.templates - a.templates);
}

/** Whether one of ours is there already, word for word. */
export function isSame({ isOwn, template }: Coming, there: There | undefined): boolean {
  return isOwn && there !== undefined && printTemplate(template) === there.text;
}

/**
 * What is asked for.
 * @param ways what becomes of each
 * @param taken the names that templates have, in lower case
 * @param group what those from elsewhere stand in, by its key; empty: nothing
 */
export function toBring(
  coming: readonly Coming[],
  ways: readonly Way[],
  there: (name: string) => There | undefined,
  taken: ReadonlySet<string>,
  group: string,
): ToBring['templates'] {
  const names = new Set(taken);
  return coming.flatMap(({ template, isOwn }, i): ToBring['templates'] => {
    const way = ways[i];
    if (way === 'out') return [];
    const standing = way === 'instead' ? there(template.head.name) : undefined;
    const name = standing ? template.head.name : freeTemplateName(template.head.name, names);
    names.add(name.toLowerCase());
    const head = { ...template.head, name, ...(isOwn ? {} : { group: NO_GROUP }) };
    return [
      {
        text: printTemplate({ ...template, head }),
        ...(isOwn ? {} : { group: group || null }),
        ...(standing ? { instead: { key: standing.key, version: standing.version } } : {}),
      },
    ];
  });
}
