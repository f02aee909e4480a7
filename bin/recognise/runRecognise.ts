import { readPassages } from '../../src/core/fill/paths/scope';
import { stepsInWords } from '../../src/core/fill/steps/compileSteps';
import { isOtherForm, type Find } from '../../src/core/recognise/find';
import { plainText } from '../../src/core/recognise/plainText';
import { recognise } from '../../src/core/recognise/recognise';
import { recognisedTemplate } from '../../src/core/recognise/recognisedTemplate';
import { schemaOf } from '../../src/core/records/schema';
import { printTag } from '../../src/core/template/tags/printTag';
import { printTemplate } from '../../src/core/template/text/printTemplate';
import { formIn, nowIn, readFlags, startIn } from '../command/flags';
import { oneLineEnd, type OneLineEnd } from '../command/oneLineEnd';
import { readText } from '../command/readText';
import { recordsIn } from '../command/recordsIn';
import { situate, type Given } from '../command/situate';
import { doing, Unusable, type Streams } from '../command/unusable';

const FORMS = ['text', 'json'] as const;
/** Bytes of a letter. */
const LONGEST_LETTER = 1_000_000;

const OPTIONS = {
  text: { type: 'string' },
  records: { type: 'string' },
  from: { type: 'string' },
  member: { type: 'string' },
  now: { type: 'string' },
  as: { type: 'string' },
} as const;

const USAGE =
  'recognise --text LETTER --records RECORDS.json --from client:KEY [--member KEY] [--now 2026-03-02T09:00:00Z]\n' +
  '          [--as text|json]';

interface RecogniseArguments extends Given {
  text: string;
  records: string;
  as: (typeof FORMS)[number];
}

/**
 * The `recognise` command: the template that a letter to a client becomes. Gives its exit code: 0 done, 3 done with facts in a form
 * that no step writes (each on standard error), 2 unusable (docs/command-line.md).
 */
export function runRecognise(argv: string[], { out, err }: Streams): Promise<number> {
  return doing(
    async () => {
      const given = argumentsIn(argv);
      const [whole, records] = await Promise.all([
        readText(given.text, LONGEST_LETTER),
        recordsIn(given.records),
      ]);
      const situation = situate('recognise', records, given);
      const context = { schema: schemaOf(records), passages: readPassages([]) };
      const { text, placeOf } = oneLineEnd(whole);
      const letter = plainText(text);
      const { finds, language } = recognise(letter, situation, context);
      const template = printTemplate(
        recognisedTemplate(letter, finds, { startsFrom: given.from.kind, language }),
      );
      out(
        given.as === 'text'
          ? template
          : `${JSON.stringify({ template, finds: finds.map((find) => told(find, placeOf)) }, null, 2)}\n`,
      );
      const others = finds.filter(isOtherForm);
      for (const find of others)
        err(`${given.text}:${lineAndColumn(text, find.start)}: ${inOtherForm(find)}\n`);
      return others.length ? 3 : 0;
    },
    { out, err },
  );
}

function argumentsIn(argv: string[]): RecogniseArguments {
  const flags = readFlags(argv, OPTIONS, ['text', 'records', 'from']);
  const { wrong, text } = flags;
  const [from, now, as] = [startIn(flags), nowIn(flags), formIn(flags, FORMS)];
  if (wrong.length || !from) throw new Unusable([...wrong.map((line) => `recognise: ${line}`), USAGE]);
  return { text: text('text')!, records: text('records')!, from, member: text('member'), now, as };
}

function told({ start, end, path, steps, certainty, words }: Find, placeOf: OneLineEnd['placeOf']) {
  return {
    start: placeOf(start),
    end: placeOf(end - 1) + 1,
    words,
    path,
    steps: stepsInWords(steps),
    certainty,
  };
}

function inOtherForm({ words, path, steps, says }: Find): string {
  const tag = printTag({ type: 'field', attrs: { path, steps } });
  return `No step writes “${oneLine(words)}”: ${tag} says “${oneLine(says)}”.`;
}

function oneLine(words: string): string {
  return words.replace(/\s*\n\s*/g, ' / ');
}

/** Line and column of a place in a text. */
function lineAndColumn(text: string, at: number): string {
  const before = text.slice(0, at).split('\n');
  return `${before.length}:${[...before.at(-1)!].length + 1}`;
}
