import path from 'node:path';
import { readAnswer } from '../../src/core/fill/blanks';
import { fairCopyOf } from '../../src/core/fairCopy/fairCopy';
import { linesOf } from '../../src/core/proof/reading/lines';
import { isPaper } from '../../src/core/template/papers';
import { papersAlong } from '../../src/core/writing/goesAlong';
import type { Answers } from '../../src/core/fill/fillInto';
import { compileTemplate, type CompiledTemplate } from '../../src/core/fill/compileTemplate';
import { languageOf } from '../../src/core/fill/fillInto';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { imageSources } from '../../src/core/fill/write/images';
import { proof } from '../../src/core/proof/proof';
import { SCHEMA_DEFAULTS } from '../../src/core/records/defaults';
import { readRecords } from '../../src/core/records/read/readRecords';
import { schemaOf } from '../../src/core/records/schema';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import type { Recipient } from '../../src/core/records/which/chooseRecipient';
import { recipientOf } from '../../src/core/records/which/recipientOf';
import { situationFrom, type Situation } from '../../src/core/records/which/situation';
import { didYouMean } from '../../src/core/problems/nearest';
import { byPlace, inWords, type Problem } from '../../src/core/problems/problem';
import { readTemplate } from '../../src/core/template/text/readTemplate';
import { readArguments, USAGE, type FillArguments } from './arguments';
import { readPassages } from './readPassages';
import { addresseesOf } from '../../src/core/addressing/addresseesOf';
import { addressingOf } from '../../src/core/addressing/addressingOf';
import type { AddressedLetter, Attachment } from '../../src/server/letters/composeLetter';
import { isMeantFor } from '../../src/core/writing/proofLetter';
import { readAttachments } from './readAttachments';
import { readPictures } from './readPictures';
import { LONGEST_RECORDS, LONGEST_TEMPLATE, readText } from '../command/readText';
import { situate } from '../command/situate';
import { doing, Unusable, type Streams } from '../command/unusable';

/** The `fill` command. Gives its exit code: 0 filled, 3 filled with holes, 2 unusable (docs/templates.md). */
export function runFill(argv: string[], { out, err }: Streams): Promise<number> {
  return doing(
    async () => {
      const given = readArguments(argv);
      if (Array.isArray(given)) throw new Unusable([...given.map((line) => `fill: ${line}`), USAGE]);
      const { compiled, records } = await readEverything(given);
      const situation = situationOf(given, compiled, records);
      const answers = answersOf(given, compiled, records);
      const filled = {
        ...fillTemplate(compiled, situation, answers),
        ...addresseesOf(compiled, situation),
      };
      const attached = given.as === 'eml' ? await attachmentsOf(filled, situation, compiled, given) : [];
      out(await written(filled, situation, compiled, answers, given, attached));
      for (const { file, line, column, reason } of filled.holes)
        err(`${file}:${line}:${column}: ${reason}\n`);
      return filled.holes.length ? 3 : 0;
    },
    { out, err },
  );
}

async function readEverything(
  given: FillArguments,
): Promise<{ compiled: CompiledTemplate; records: RecordsFile }> {
  const [template, records] = await Promise.all([
    readText(given.template, LONGEST_TEMPLATE),
    readText(given.records, LONGEST_RECORDS),
  ]);
  const problems: Problem[] = [];
  const reading = readTemplate(template, given.template);
  const read = readRecords(records, given.records);
  const passages = given.passages
    ? await readPassages(given.passages, problems).catch(cannotRead(given.passages))
    : new Map();
  const readable = reading.value ?? reading.draft;
  const judged =
    // A passage that could not be read would only be missed.
    readable && read.value && problems.length === 0
      ? compileTemplate(readable, {
          schema: schemaOf(read.value),
          passages,
          ...(reading.places ? { places: reading.places } : {}),
          file: given.template,
        })
      : undefined;
  const ofTemplate = [...reading.problems, ...(judged?.problems ?? [])].sort(byPlace);
  const all = [...ofTemplate, ...read.problems, ...problems];
  if (all.length || !judged?.compiled || !read.value) throw new Unusable(all.map(inWords));
  return { compiled: judged.compiled, records: read.value };
}

function situationOf(given: FillArguments, { head }: CompiledTemplate, records: RecordsFile): Situation {
  const { from, to, template } = given;
  if (head.startsFrom !== from.kind) {
    throw new Unusable([
      `${template}:1:1: “${head.name}” starts from ${head.startsFrom}, and --from names ${from.kind}:${from.key}.`,
    ]);
  }
  const wishes = head.writtenTo ? { writtenTo: head.writtenTo } : {};
  const situation = situate('fill', records, given, wishes);
  if (to.length === 0) return situation;
  return situationFrom(situation.book, from, {
    ...wishes,
    sender: situation.sender,
    recipients: to.map((key) => recipient(key, situation)),
  })!;
}

/** A contact of the client, the client itself, or a partner or member as `partner:KEY`. */
function recipient(key: string, situation: Situation): Recipient {
  for (const reference of [`contact:${key}`, `client:${key}`, key]) {
    const found = recipientOf(reference, situation);
    if (found) return found;
  }
  const client = situation.client?.record;
  const keys = (client?.contacts ?? []).map((one) => one.key);
  const whom = client?.name ?? client?.key ?? 'this client';
  throw new Unusable([
    `fill: ${whom} has no contact “${key}”.${didYouMean(key, keys) || (keys.length ? ` There are ${keys.join(', ')}.` : '')}`,
  ]);
}

function answersOf(
  { answers }: FillArguments,
  { blanks }: CompiledTemplate,
  { business }: RecordsFile,
): Map<string, unknown> {
  const read = new Map<string, unknown>();
  const wrong: string[] = [];
  for (const [name, answer] of answers) {
    const blank = blanks.get(name);
    if (!blank) {
      wrong.push(`fill: The template has no blank “${name}”.${didYouMean(name, blanks.keys())}`);
      continue;
    }
    const value = readAnswer(answer, blank.answer, business.currency ?? SCHEMA_DEFAULTS.currency);
    if ('value' in value) read.set(name, value.value);
    else wrong.push(`fill: The answer to “${name}” is ${value.expected}, not “${answer}”.`);
  }
  if (wrong.length) throw new Unusable(wrong);
  return read;
}

/** What goes with a message; what cannot, and whoever has no address, are holes of it. */
async function attachmentsOf(
  filled: AddressedLetter,
  situation: Situation,
  { head }: CompiledTemplate,
  { template, records }: FillArguments,
): Promise<Attachment[]> {
  const { files, missing } = await readAttachments(head.attach ?? [], path.dirname(records), situation);
  const { from, to, wrong } = addressingOf(filled);
  const reasons = [
    ...missing,
    ...wrong.map(({ place, text }) => `${place}: “${text}” is no email address.`),
    ...(from.email ? [] : ['There is no address that the letter comes from.']),
    ...(to.length || wrong.length ? [] : ['There is no address that the letter goes to.']),
  ];
  for (const reason of reasons)
    filled.holes.push({
      id: '',
      kind: 'field',
      path: '',
      label: '',
      file: template,
      line: 1,
      column: 1,
      reason,
    });
  return files;
}

async function written(
  filled: AddressedLetter,
  situation: Situation,
  compiled: CompiledTemplate,
  answers: Answers,
  { as, now, records }: FillArguments,
  attachments: readonly Attachment[],
): Promise<string> {
  switch (as) {
    case 'text':
      return filled.text;
    case 'html':
      return `${filled.html}\n`;
    case 'eml': {
      // Only this form needs the composer, and the others start faster without.
      const { composeLetter } = await import('../../src/server/letters/composeLetter');
      const pictures = await readPictures(imageSources(filled.html), path.dirname(records));
      if (Array.isArray(pictures)) throw new Unusable(pictures);
      return composeLetter(filled, {
        date: new Date(now),
        language: languageOf(compiled, situation.book),
        pictures,
        attachments,
      });
    }
    case 'json': {
      const { subject, to, text, html } = filled;
      const notes = filled.notes.map(({ id: _, said: _said, steps, ...note }) =>
        steps.length ? { ...note, steps } : note,
      );
      const holes = filled.holes.map(({ id: _, kind: _kind, ...hole }) => hole);
      return `${JSON.stringify({ subject, to, text, html, notes, holes, proof: proofOf(filled, compiled, situation, answers) }, null, 2)}\n`;
    }
  }
}

/** The checks, as far as a filled template without a page can be checked. */
function proofOf(
  filled: AddressedLetter,
  compiled: CompiledTemplate,
  situation: Situation,
  answers: Answers,
) {
  const { head } = compiled;
  const fits = isMeantFor(compiled, situation);
  const signatures = filled.notes.flatMap(({ path }) =>
    path === 'signature' ? [{ whose: situation.sender }] : [],
  );
  const addressing = addressingOf(filled);
  // Whether a file is there is told by the eml.
  const files = (head.attach ?? []).filter((name) => !isPaper(name)).map((name) => ({ id: name, name }));
  const lines = linesOf(fairCopyOf(compiled, situation, answers).document);
  const language = languageOf(compiled, situation.book);
  const letter = {
    ...filled,
    ...{ head, language, fits, lines, asFilled: lines, addressing, signatures, allNotes: filled.notes },
    ...{
      along: [...papersAlong(head, situation), ...files],
      leftOut: [],
      letters: [],
      sameLetterDays: 0,
      others: [],
      promised: [],
      taken: [],
    },
  };
  return proof(letter, situation).map(({ kind, message }) => ({ kind, message }));
}

function cannotRead(file: string): (error: NodeJS.ErrnoException) => never {
  return (error) => {
    const why =
      error.code === 'ENOENT' ? 'There is no such file or folder.' : `It cannot be read (${error.code}).`;
    throw new Unusable([`${file}:1:1: ${why}`]);
  };
}
