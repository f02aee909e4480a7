import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { RecordBook } from '../records/recordBook';
import type { Situation } from '../records/which/situation';
import type { CompiledTemplate } from './compileTemplate';
import type { FillResult } from './filled';
import { keptOfBusiness } from './keptOfBusiness';
import { newRun } from './newRun';
import type { PageWriter, WordWriter } from './write/writer';

/** Answers to blanks by name, read as their types (readAnswer). */
export type Answers = ReadonlyMap<string, unknown>;

/**
 * Fills a template for one situation into writers: the subject's words into one, the body into the other. Never
 * fails: what is missing is a hole.
 * @param options notes: whether to say of each field what it said, where from and why
 */
export function fillInto(
  template: CompiledTemplate,
  situation: Situation,
  answers: Answers,
  page: PageWriter,
  subject: (write: (words: WordWriter) => void) => void,
  { notes = true } = {},
): FillResult {
  const sender = senderOf(template, situation);
  const { formats, words: kept } = keptOfBusiness(template, situation.book);
  const run = newRun({
    situation: sender === situation.sender ? situation : { ...situation, sender },
    formats,
    answers: withDefaults(template, answers),
    kept,
    notes: notes ? [] : undefined,
    page,
    slots: template.slots,
  });
  subject((words) => {
    run.words = words;
    template.subject(run);
  });
  const { notes: written = [], holes } = run;
  const result: FillResult = { notes: written, holes };
  if (template.replyTo) result.replyTo = template.replyTo(run);
  if (template.copy) result.copy = template.copy(run);
  if (template.blindCopy) result.blindCopy = template.blindCopy(run);
  run.words = page;
  template.body(run);
  return result;
}

/** Who a letter comes from: whoever writes, or who is responsible for the job or client where the template says so. */
export function senderOf({ head }: CompiledTemplate, { sender, book, project, client }: Situation) {
  if (head.from !== 'responsible') return sender;
  return book.members.get(project?.record.responsible ?? client?.record.responsible ?? '') ?? sender;
}

/** The language of a letter, BCP 47: the template's own where it has one, else the business's. */
export function languageOf({ head }: Pick<CompiledTemplate, 'head'>, { business }: RecordBook): string {
  return head.language || business.locale || SCHEMA_DEFAULTS.locale;
}

function withDefaults({ blanks }: CompiledTemplate, answers: Answers): Answers {
  if (!blanks.size) return NO_ANSWERS;
  const all = new Map<string, unknown>();
  for (const { name, preset } of blanks.values()) {
    const answer = answers.get(name) ?? preset;
    if (answer !== undefined) all.set(name, answer);
  }
  return all;
}

const NO_ANSWERS: Answers = new Map();
