import { NO_GROUP } from '../contract/groups';
import { tooLarge } from '../template/text/tooLarge';
import { compileTemplate } from '../fill/compileTemplate';
import { readPassages } from '../fill/paths/scope';
import { didYouMean } from '../problems/nearest';
import { byPlace, type Problem } from '../problems/problem';
import type { Schema } from '../records/schema';
import type { Called, Passage, Signature, Template } from '../template/template';
import { byName, inKeys } from '../template/naming';
import { readTemplate } from '../template/text/readTemplate';

/** What a template's words are judged by. */
export interface WordsContext {
  schema: Schema;
  passages: readonly Passage[];
  signatures: readonly Signature[];
  groups: readonly Called[];
}

/** A template's text form read and judged: the template, or everything that is wrong, each at its line. */
export type WordsReading =
  { template: Template; problems: [] } | { template: undefined; problems: Problem[] };

/** The same on the page while it is typed, and on the server before a version is kept. */
export function readTemplateWords(
  text: string,
  { groups, passages, signatures, ...context }: WordsContext,
): WordsReading {
  const large = tooLarge(text);
  if (large) return { template: undefined, problems: [{ file: '', line: 1, column: 1, message: large }] };
  const reading = readTemplate(text, '');
  const readable = reading.value ?? reading.draft;
  const judged = readable
    ? compileTemplate(readable, {
        ...context,
        passages: readPassages(passages, 'name'),
        signatures: [...byName(signatures)].map(([key, one]) => ({ ...one, key })),
        ...(reading.places ? { places: reading.places } : {}),
        file: '',
      }).problems
    : [];
  const problems = [
    ...reading.problems,
    ...judged,
    ...unknownInHead(text, readable, { groups, signatures }),
  ].sort(byPlace);
  return problems.length || !reading.value
    ? { template: undefined, problems }
    : { template: inKeys(reading.value, { passages, signatures }), problems: [] };
}

/** What a head calls by a name that nothing has. */
function unknownInHead(
  text: string,
  template: Template | undefined,
  { groups, signatures }: Pick<WordsContext, 'groups' | 'signatures'>,
): Problem[] {
  if (!template) return [];
  const { group, signature } = template.head;
  const called = byName(signatures);
  const grouped = [NO_GROUP, ...byName(groups).keys()].map((name) => name.toLowerCase());
  return [
    ...(grouped.includes(group.toLowerCase())
      ? []
      : [
          {
            ...headPlace(text, 'group'),
            message: `There is no group “${group}”. There are ${groups.map(({ name }) => name).join(', ')}.`,
          },
        ]),
    ...(signature === undefined || signature === 'none' || called.has(signature)
      ? []
      : [
          {
            ...headPlace(text, 'signature'),
            message: `There is no signature “${signature}”.${didYouMean(
              signature,
              signatures.map(({ name }) => name),
            )}`,
          },
        ]),
  ];
}

/** Where a key of the head stands. */
export function headPlace(text: string, key: string): { file: string; line: number; column: number } {
  const line = text.split('\n').findIndex((one) => one.startsWith(`${key}:`));
  return { file: '', line: Math.max(1, line + 1), column: 1 };
}
