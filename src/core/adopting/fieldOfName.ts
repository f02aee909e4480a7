import { fieldsAt } from '../fields/fieldsAt';
import { newScope, type CompileContext } from '../fill/compile/newScope';
import { PARTICLES } from '../people/namingCustoms';
import { CUSTOMISABLE } from '../records/catalogue/catalogue';
import { STARTING_POINTS, type StartingKind } from '../records/recordKind';
import type { Schema } from '../records/schema';
import { foldText } from '../searching/foldText';
import { fieldByWords, type NamedField } from './foreignNames';

/** Where a place that was to be filled stands. */
export interface PlaceOfName {
  /** it is what the letter greets */
  greeted: boolean;
}

/** The words of a name as they are looked up: “ClientFirst_name” is “client first name”. */
export function nameWords(name: string): string {
  const parted = name
    .replace(/['’]/gu, '')
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .replace(/[^\p{L}\p{N}]+/gu, ' ');
  return foldText(parted)
    .trim()
    .replace(/^(?:the|a|an|insert|enter|add) /, '');
}

/**
 * The field that a foreign name most likely means: by the business’s own fields, by what our fields are called, by the words that many
 * use; and where somebody’s real name was typed between the marks, whoever the letter goes to. Undefined: it tells nothing.
 */
export function fieldOfName(
  name: string,
  place: PlaceOfName,
  context: CompileContext,
): NamedField | undefined {
  const words = nameWords(name);
  if (!words) return undefined;
  const usual = fieldByWords(words);
  const own = ownField(words, context.schema) ?? (usual?.sure ? undefined : labelled(context).get(words));
  if (own) return { path: own, steps: [], sure: true };
  if (usual?.path === 'recipient.full_name' && place.greeted && !words.includes('full'))
    return { path: 'recipient.greeting_name', steps: [], sure: true };
  return usual ?? realName(name, place);
}

/** A custom field or a link of the business by its name. */
function ownField(words: string, schema: Schema): string | undefined {
  for (const kind of CUSTOMISABLE) {
    // An item stands in a list alone: no field by itself names one.
    if (kind === 'item' || kind === 'partner') continue;
    for (const { key, label } of schema.custom(kind).values())
      for (const called of [key, label, `${kind} ${key}`, `${kind} ${label}`])
        if (nameWords(called) === words) return `${kind === 'member' ? 'sender' : kind}.custom.${key}`;
  }
  for (const { key, label } of schema.links.values())
    if ([key, label, `${key} link`, `link ${key}`].some((called) => nameWords(called) === words))
      return `links.${key}`;
  return undefined;
}

const known = new WeakMap<CompileContext, ReadonlyMap<string, string>>();

/** Our own fields by their paths and by their labels behind their record: “booking starts at”, “visit start”. */
function labelled(context: CompileContext): ReadonlyMap<string, string> {
  let paths = known.get(context);
  if (!paths) {
    const found = new Map<string, string>();
    for (const startsFrom of STARTING_POINTS)
      for (const { root, title, fields } of fieldsAt(newScope(context, { name: '', startsFrom }, [])))
        for (const { path, label } of fields)
          for (const called of [path, `${title} ${label}`, `${root.replaceAll('.', ' ')} ${label}`])
            if (!found.has(nameWords(called))) found.set(nameWords(called), path);
    known.set(context, (paths = found));
  }
  return paths;
}

/** Words of which a name of a fact is made, and nobody’s. */
const OF_FACTS =
  /\b(?:amount|date|day|deposit|name|names|number|time|address|details?|info|type|total|link|code|price|cost|fee|location|place|email|phone|number|id|url|here|insert|your|the|and|of|balance|due|company|title|note|notes|message|text|description|month|year|service|event|session|package|rate|hours?)\b/iu;

/** “Ada”, “Ada Reyes”, “Marta de la Cruz”: each word begins with a capital, but for particles. */
function realName(name: string, { greeted }: PlaceOfName): NamedField | undefined {
  const words = name.trim().split(/\s+/);
  const isName =
    words.length <= 5 &&
    !OF_FACTS.test(name) &&
    words.every((word) => /^\p{Lu}\p{Ll}[\p{L}’'.-]*$/u.test(word) || PARTICLES.has(word.toLowerCase()));
  if (greeted) return { path: 'recipient.greeting_name', steps: [], sure: isName };
  return isName && words.length > 1 ? { path: 'recipient.full_name', steps: [], sure: false } : undefined;
}

/** The kind of record that leads to all that some fields name: the nearest that does. */
export function startOfPaths(paths: readonly string[]): StartingKind {
  const roots = new Set(paths.map((path) => path.split('.')[0]!));
  const near = ['enquiry', 'invoice', 'booking', 'project'] as const;
  return near.find((kind) => roots.has(kind)) ?? 'client';
}
