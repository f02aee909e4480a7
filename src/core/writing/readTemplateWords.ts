import { NO_GROUP } from '../contract/groups';
import { tooLarge } from '../template/text/tooLarge';
import { compileTemplate } from '../fill/compileTemplate';
import { readPassages } from '../fill/paths/scope';
import { byPlace, type Problem } from '../problems/problem';
import type { Schema } from '../records/schema';
import type { Passage, Template } from '../template/template';
import { inKeys } from '../template/naming';
import { readTemplate } from '../template/text/readTemplate';

/** What a template's words are judged by. */
export interface WordsContext {
  schema: Schema;
  passages: readonly Passage[];
  /** the names of the groups there are */
  groups: readonly string[];
}

/** A template's text form read and judged: the template, or everything that is wrong, each at its line. */
export type WordsReading =
  { template: Template; problems: [] } | { template: undefined; problems: Problem[] };

/** The same on the page while it is typed, and on the server before a version is kept. */
export function readTemplateWords(
  text: string,
  { groups, passages, ...context }: WordsContext,
): WordsReading {
  const large = tooLarge(text);
  if (large) return { template: undefined, problems: [{ file: '', line: 1, column: 1, message: large }] };
  const reading = readTemplate(text, '');
  const readable = reading.value ?? reading.draft;
  const judged = readable
    ? compileTemplate(readable, {
        ...context,
        passages: readPassages(passages, 'name'),
        ...(reading.places ? { places: reading.places } : {}),
        file: '',
      }).problems
    : [];
  const problems = [...reading.problems, ...judged, ...unknownGroup(text, readable, groups)].sort(byPlace);
  return problems.length || !reading.value
    ? { template: undefined, problems }
    : { template: inKeys(reading.value, { passages }), problems: [] };
}

function unknownGroup(text: string, template: Template | undefined, groups: readonly string[]): Problem[] {
  if (!template) return [];
  const wanted = template.head.group.toLowerCase();
  if ([...groups, NO_GROUP].some((name) => name.toLowerCase() === wanted)) return [];
  return [
    {
      ...headPlace(text, 'group'),
      message: `There is no group “${template.head.group}”. There are ${groups.join(', ')}.`,
    },
  ];
}

/** Where a key of the head stands. */
export function headPlace(text: string, key: string): { file: string; line: number; column: number } {
  const line = text.split('\n').findIndex((one) => one.startsWith(`${key}:`));
  return { file: '', line: Math.max(1, line + 1), column: 1 };
}
