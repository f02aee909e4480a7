import type { Line, TemplateDocument } from '../document/templateDocument';
import type { Step } from '../document/step';
import { newScope, type CompileContext } from '../fill/compile/newScope';
import { resolvePath } from '../fill/paths/resolvePath';
import { compileSteps } from '../fill/steps/compileSteps';
import { foreignMarks, type ForeignMark } from '../reading/foreignMarks';
import { otherLanguage } from '../reading/languageGuessed';
import { SIGNATURE } from '../recognise/knownFacts';
import { letterText, type LetterText } from '../recognise/letterText';
import { fieldOf, placeFields, type Placed } from '../recognise/placeFields';
import { isIn, zonesOf } from '../recognise/zones';
import { STARTING_POINTS, type StartingKind } from '../records/recordKind';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { NO_SUBJECT } from '../template/noSubject';
import { readWholeTag } from '../template/tags/readWholeTag';
import type { Template } from '../template/template';
import { fieldOfName, nameWords, startOfPaths } from './fieldOfName';
import type { NamedField } from './foreignNames';

/** A text from elsewhere, read: its words in our own form, its placeholders still in theirs. */
export interface ForeignTemplate {
  name: string;
  subject: Line;
  document: TemplateDocument;
  /** what was left out of it, or goes with it, in words */
  besides: readonly string[];
}

/** What a foreign name was taken for: a field, its own words, or nothing yet. */
export type Meant = Pick<NamedField, 'path' | 'steps'> | 'words' | 'gap';

/** A foreign name, as it is asked about once. */
export interface ForeignName {
  /** by which it is remembered */
  key: string;
  /** as it stands there, the first time */
  words: string;
  name: string;
  times: number;
  /** what it likely means */
  proposed?: NamedField;
  /** what stands in its place now */
  taken: Meant;
}

/** A template as it came in. */
export interface Adopted {
  template: Template;
  names: ForeignName[];
  besides: readonly string[];
}

const GROUP = 'Brought in';

/**
 * Makes a template of a text from elsewhere: each placeholder becomes the field that it surely means, or what was said of its name
 * before; else a gap.
 * @param meant what names were said to mean, by their keys
 */
export function adopt(
  foreign: ForeignTemplate,
  context: CompileContext,
  meant: ReadonlyMap<string, Meant> = new Map(),
): Adopted {
  const text = letterText(foreign.subject, foreign.document);
  const home = context.schema.locale || SCHEMA_DEFAULTS.locale;
  const language = otherLanguage(text.text, home);
  const { greeting } = zonesOf(text.text, language ?? home, []);
  const names = new Map<string, ForeignName>();
  const marks = foreignMarks(text.text).map((mark) => {
    const greeted = isIn(greeting, mark.from, mark.to);
    const own = ownField(mark.words, context);
    const key = own ? mark.words : keyOf(mark, greeted);
    const known = names.get(key);
    if (known) known.times++;
    else names.set(key, nameOf(mark, key, own ?? proposedFor(mark, greeted, context), meant));
    return { mark: own ? withoutOtherwise(mark) : mark, name: names.get(key)! };
  });
  const paths = [...names.values()].flatMap(({ taken }) => (typeof taken === 'string' ? [] : [taken.path]));
  const startsFrom = startOfPaths(paths);
  const placed = marks.flatMap(({ mark, name }) => placedFor(mark, name, startsFrom, context));
  return {
    template: templateOf(foreign, text, placed, startsFrom, language),
    names: [...names.values()],
    besides: [...foreign.besides, ...linksToFill(text)],
  };
}

/** Links whose address was to be filled, too: no field stands in an address that was not put there. */
function linksToFill({ text, links }: LetterText): string[] {
  return links
    .filter(({ address }) => foreignMarks(address).length > 0)
    .map(({ from, to, address }) => `where the link “${text.slice(from, to)}” leads (${address})`);
}

/** One name is one thing, but for whom a letter greets. */
function keyOf({ name, words }: ForeignMark, greeted: boolean): string {
  const called = nameWords(name) || words;
  return greeted ? `${called}, greeted` : called;
}

function nameOf(
  { name, words }: ForeignMark,
  key: string,
  proposed: NamedField | undefined,
  meant: ReadonlyMap<string, Meant>,
): ForeignName {
  const taken = meant.get(key) ?? (proposed?.sure ? proposed : 'gap');
  return { key, words, name, times: 1, ...(proposed ? { proposed } : {}), taken };
}

function proposedFor(
  { name }: ForeignMark,
  greeted: boolean,
  context: CompileContext,
): NamedField | undefined {
  return name ? fieldOfName(name, { greeted }, context) : undefined;
}

/** What stands behind a bar in a tag of ours is a step. */
function withoutOtherwise({ otherwise: _, ...mark }: ForeignMark): ForeignMark {
  return mark;
}

/** A tag of ours in a text from elsewhere, as one has it that was taken out as a page: what it says is known. */
function ownField(words: string, context: CompileContext): NamedField | undefined {
  const tag = /^\{\{[^{}]+\}\}$/.test(words) ? readWholeTag(words) : undefined;
  if (tag?.type !== 'field' || !STARTING_POINTS.some((kind) => isField(tag.attrs, kind, context)))
    return undefined;
  return { ...tag.attrs, sure: true };
}

function placedFor(
  { from, to, name, words, otherwise }: ForeignMark,
  { taken }: ForeignName,
  startsFrom: StartingKind,
  context: CompileContext,
): Placed[] {
  if (taken === 'words') return [];
  const place = { start: from, end: to };
  if (taken === 'gap' || !isField(taken, startsFrom, context))
    return [{ ...place, word: { type: 'gap', attrs: { words: name || roomIn(words) } } }];
  const spoken: Step[] = otherwise ? [{ step: 'or', words: otherwise }] : [];
  return [fieldOf({ ...place, path: taken.path, steps: [...taken.steps, ...spoken] })];
}

/** Whether a field can stand in a template that starts from a kind of record; what was remembered may be no more. */
function isField(
  { path, steps }: Pick<NamedField, 'path' | 'steps'>,
  startsFrom: StartingKind,
  context: CompileContext,
) {
  if (path === SIGNATURE) return true;
  const scope = newScope(context, { name: '', startsFrom }, []);
  const resolved = resolvePath(path, scope);
  return typeof resolved !== 'string' && typeof compileSteps(steps, resolved.type, scope) !== 'string';
}

function roomIn(words: string): string {
  return /\p{L}/u.test(words) ? words.replace(/[{}%[\]]+/gu, ' ').trim() : 'what belongs here';
}

/** A template is called by words, not by what stands for some. */
function withoutMarks(name: string): string {
  let said = '';
  let at = 0;
  for (const { from, to, name: called } of foreignMarks(name)) {
    said += name.slice(at, from) + nameWords(called);
    at = to;
  }
  return (said + name.slice(at)).replace(/\s+/g, ' ').trim() || name;
}

function templateOf(
  foreign: ForeignTemplate,
  text: LetterText,
  placed: readonly Placed[],
  startsFrom: StartingKind,
  language: string | undefined,
): Template {
  const { subject, document } = placeFields(text, placed);
  return {
    head: {
      name: withoutMarks(foreign.name),
      group: GROUP,
      startsFrom,
      subject: subject.length ? subject : NO_SUBJECT,
      ...(language === undefined ? {} : { language }),
    },
    document,
  };
}
