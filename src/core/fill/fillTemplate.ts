import { fullName } from '../people/names';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { ContactData } from '../records/recordsFile';
import type { Recipient } from '../records/which/chooseRecipient';
import type { Situation } from '../records/which/situation';
import type { CompiledTemplate } from './compileTemplate';
import type { Addressee, Filled } from './filled';
import { Formats } from './formats/formats';
import type { Run } from './run';
import { LetterWriter } from './write/letterWriter';
import { LineWriter } from './write/lineWriter';

/** Answers to blanks by name, read as their types (readAnswer). */
export type Answers = ReadonlyMap<string, unknown>;

/**
 * Fills a template for one situation. Never fails: what is missing is a hole, and its text shows a label in
 * brackets.
 */
export function fillTemplate(
  template: CompiledTemplate,
  situation: Situation,
  answers: Answers = new Map(),
): Filled {
  const from = template.head.from === 'responsible' ? responsibleOf(situation) : undefined;
  const letter = new LetterWriter();
  const formats = formatsFor(situation, template.head.language);
  const run: Run = {
    situation: from ? { ...situation, sender: from } : situation,
    book: situation.book,
    recipients: situation.recipients.map(({ record }) => record.data),
    and: formats.and,
    formats,
    frames: [],
    answers: withDefaults(template, answers),
    notes: [],
    holes: [],
    words: new LineWriter(),
    page: letter,
  };
  const subject = template.subject(run);
  const headers = {
    ...(template.replyTo ? { replyTo: template.replyTo(run) } : {}),
    ...(template.copy ? { copy: template.copy(run) } : {}),
    ...(template.blindCopy ? { blindCopy: template.blindCopy(run) } : {}),
  };
  run.words = letter;
  template.body(run);
  return {
    subject,
    to: situation.recipients.flatMap(({ record }) => addressee(record)),
    copies: situation.copies.flatMap((data: ContactData) => addressee({ kind: 'contact', data })),
    ...headers,
    text: letter.text.end(),
    html: letter.html.end(),
    notes: run.notes,
    holes: run.holes,
  };
}

function responsibleOf({ book, project, client }: Situation) {
  return book.members.get(project?.record.responsible ?? client?.record.responsible ?? '');
}

function withDefaults({ blanks }: CompiledTemplate, answers: Answers): Answers {
  const all = new Map<string, unknown>();
  for (const { name, preset } of blanks.values()) {
    const answer = answers.get(name) ?? preset;
    if (answer !== undefined) all.set(name, answer);
  }
  return all;
}

function addressee({ data }: Recipient): Addressee[] {
  return data.email ? [{ name: fullName(data) ?? '', email: data.email }] : [];
}

const made = new Map<string, Formats>();

/** Formats are dear to make and alike for every letter of a business in one language. */
function formatsFor({ book }: Situation, language: string | undefined): Formats {
  const {
    locale: home = SCHEMA_DEFAULTS.locale,
    currency = SCHEMA_DEFAULTS.currency,
    hour_cycle,
  } = book.business;
  const settings = {
    locale: language ?? home,
    home,
    zone: book.zone,
    currency,
    hourCycle: hour_cycle === 12 ? (12 as const) : (24 as const),
  };
  const key = JSON.stringify(settings);
  let formats = made.get(key);
  if (!formats) made.set(key, (formats = new Formats(settings)));
  return formats;
}
