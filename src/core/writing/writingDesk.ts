import { addresseesOf, type Addressees } from '../addressing/addresseesOf';
import type { OwnFile } from '../contract/files';
import { readMoment } from '../dates/zone';
import { fairCopyOf, type FairCopy } from '../fairCopy/fairCopy';
import type { CopyPart } from '../document/copyDocument';
import { mergeCopies } from '../fairCopy/mergeCopies';
import { readAnswer } from '../fill/blanks';
import type { CompileContext } from '../fill/compile/newScope';
import { compileTemplate, type CompiledTemplate } from '../fill/compileTemplate';
import { senderOf, type Answers } from '../fill/fillInto';
import { readPassages, type ReadPassage } from '../fill/paths/scope';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { blankLetter, blankLetterKey } from '../template/blankLetter';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { schemaOf, type Schema } from '../records/schema';
import { recipientOf } from '../records/which/recipientOf';
import { situationFrom, type Situation, type StartingPoint } from '../records/which/situation';
import { foreignLanguage } from '../fitting/foreignLanguage';
import { hasWords, type AnyTemplate } from '../fitting/listedTemplate';
import { fittingTemplates, type FittingTemplates, type PastLetter } from '../fitting/fittingTemplates';
import type {
  KeptTemplate,
  Letterhead,
  Passage,
  Shorthand,
  Signature,
  TemplateHead,
  WrittenTo,
} from '../template/template';
import { addedAlong, filesAlong, papersAlong, type Along } from './goesAlong';
import type { ChangedChoices, Choices, Letter } from './letter';
import { underSubjectOf } from './reply';
import { LetterheadFiller, type Around } from './letterheadAround';

/** How many filled letters are kept at hand. */
const KEPT = 4;

/** Where a business has not settled it. */
const SAME_LETTER_DAYS = 7;

/** What letters are written from. The records may be those of some clients only. */
export interface WritingFacts {
  records: RecordsFile;
  /** milliseconds: what "today" and "now" are read from */
  now: number;
  /** those whose words are not at hand yet can be chosen among, not filled */
  templates: readonly AnyTemplate[];
  passages: readonly Passage[];
  signatures: readonly Signature[];
  /** what stands around every letter; absent: nothing */
  letterhead?: Letterhead;
  /** the business's own that templates name; absent: none */
  files?: readonly OwnFile[];
  /** what turns into longer text while they type; absent: nothing */
  shorthand?: readonly Shorthand[];
  /** the key of the member who writes */
  member: string;
  /** what was written before to the clients at hand; absent: nothing is known of it */
  letters?: readonly PastLetter[];
  /** within so many days the same letter to the same person is asked about */
  sameLetterDays?: number;
  /** of an enquiry: whether none of the days that it asks for is free, as far as that is known */
  daysTaken?: boolean;
}

/** A letter as it is filled by rule and choice, before any word is changed by hand. */
export interface FilledLetter extends FairCopy, Addressees {
  template: CompiledTemplate;
  situation: Situation;
  choices: Choices;
  /** what stands around it */
  around?: Around;
  /** what its template has go along, whether its writer has left it out or not, and what its writer has added */
  along: readonly Along[];
  /** what was written before */
  letters: readonly PastLetter[];
  sameLetterDays: number;
}

/**
 * Fills letters of one business. The same in the browser, where they are written, and on the server, which fills
 * them again before it takes them. Templates are compiled when they are first needed.
 */
export class WritingDesk {
  readonly book: RecordBook;
  /** the records as of another moment, the last that was asked for */
  private later: RecordBook | undefined;
  /** what templates are compiled by */
  readonly context: CompileContext;
  private readonly schema: Schema;
  private readonly templates: Map<string, AnyTemplate>;
  private readonly passages: ReadonlyMap<string, ReadPassage>;
  private readonly letterhead: LetterheadFiller | undefined;
  private readonly compiled = new Map<string, CompiledTemplate | string[]>();
  /** the last letters filled: the same one is asked for again and again while it is written */
  private lately: { key: string; filled: FilledLetter }[] = [];

  constructor(readonly facts: WritingFacts) {
    this.book = new RecordBook(facts.records, facts.now);
    this.schema = schemaOf(facts.records);
    this.templates = new Map(facts.templates.map((template) => [template.key, template]));
    this.passages = readPassages(facts.passages);
    this.context = {
      schema: this.schema,
      passages: this.passages,
      signatures: facts.signatures,
    };
    this.letterhead =
      facts.letterhead &&
      new LetterheadFiller(facts.letterhead, { schema: this.schema, passages: this.passages });
  }

  /** A template by its key, or the blank letter that the key is of. */
  template(key: string): AnyTemplate | undefined {
    const { locale = SCHEMA_DEFAULTS.locale } = this.facts.records.business;
    return this.templates.get(key) ?? blankLetter(key, locale);
  }

  /** The key of a letter without a template, in the language of whoever gets it. */
  blankLetter({ start, client }: Situation): string {
    const { locale = SCHEMA_DEFAULTS.locale } = this.facts.records.business;
    return blankLetterKey(start.kind, client?.record.language, locale);
  }

  /** Whether there is a template whose words have yet to be brought. */
  lacksWords(key: string): boolean {
    const template = this.templates.get(key);
    return template !== undefined && !hasWords(template);
  }

  /** Takes the words of a template that was only listed. */
  bring(template: KeptTemplate): void {
    this.templates.set(template.key, template);
  }

  /**
   * The template made ready; what is wrong with it, in words, when it cannot be filled.
   * @param of what its parts say in one letter, and what is put into that
   */
  compile(key: string, of: Pick<Choices, 'saidOtherwise' | 'putIn'> = {}): CompiledTemplate | string[] {
    const { saidOtherwise, putIn = [] } = of;
    const name = saidOtherwise || putIn.length ? `${key} ${JSON.stringify([saidOtherwise, putIn])}` : key;
    let compiled = this.compiled.get(name);
    if (!compiled) {
      const template = this.template(key);
      if (!template) return ['This template is no longer there.'];
      if (!hasWords(template)) return ['The words of this template have not come yet.'];
      const others = putIn.flatMap(({ template: other, behind }) => {
        const one = this.template(other);
        return one && hasWords(one) ? [{ ...one, ...(behind === undefined ? {} : { behind }) }] : [];
      });
      if (others.length < putIn.length) return ['The words of what was put into this letter are not here.'];
      const judged = compileTemplate(
        template,
        { ...this.context, key, ...(saidOtherwise ? { otherwise: saidOtherwise } : {}) },
        others,
      );
      compiled = judged.compiled ?? judged.problems.map(({ message }) => message);
      this.compiled.set(name, compiled);
    }
    return compiled;
  }

  /** The records a letter is filled from. Undefined: the record it starts from is not there. */
  situation(start: StartingPoint, choices: Partial<Choices> = {}): Situation | undefined {
    const writtenTo = this.writtenTo(choices);
    const book = this.bookOf(choices);
    const sender = book.members.get(this.facts.member) ?? { key: this.facts.member };
    const { project, booking, invoice } = choices;
    const { daysTaken } = this.facts;
    const calendar = start.kind === 'enquiry' && daysTaken !== undefined ? { daysTaken } : {};
    const wishes = {
      sender,
      writtenTo,
      ...(project === undefined ? {} : { project }),
      ...(booking === undefined ? {} : { booking }),
      ...(invoice === undefined ? {} : { invoice }),
    };
    const byRule = situationFrom(book, start, wishes);
    if (!byRule) return undefined;
    const recipients = (choices.recipients ?? []).flatMap(
      (reference) => recipientOf(reference, byRule) ?? [],
    );
    const found = recipients.length ? situationFrom(book, start, { ...wishes, recipients })! : byRule;
    return { ...found, ...calendar };
  }

  /** The records as of when the letter goes: what is “tomorrow” then may be “in three days” now. A time that has passed is none. */
  private bookOf({ goesAt = '' }: Partial<Choices>): RecordBook {
    const moment = readMoment(goesAt);
    if (moment === undefined || moment <= this.facts.now) return this.book;
    if (this.later?.now !== moment) this.later = new RecordBook(this.facts.records, moment);
    return this.later;
  }

  private writtenTo({ template = '' }: Partial<Choices>): WrittenTo {
    return this.template(template)?.head.writtenTo ?? 'client';
  }

  /** Which templates, of all or of some, fit a record: see fittingTemplates. */
  fitting(
    situation: Situation,
    letters: readonly PastLetter[],
    among: readonly AnyTemplate[] = this.facts.templates,
  ): FittingTemplates {
    return fittingTemplates(among, situation, letters, this.schema);
  }

  /** Whether a template is in a language that the client does not read. */
  isForeign({ language }: TemplateHead, situation: Situation): boolean {
    return foreignLanguage(language, situation) !== undefined;
  }

  /** Fills a letter. Undefined where the record or the template is gone, or the template cannot be filled. */
  fill(start: StartingPoint, choices: Choices): FilledLetter | undefined {
    const key = JSON.stringify([start, choices]);
    const known = this.lately.find((one) => one.key === key);
    if (known) return known.filled;
    const filled = this.fillAnew(start, choices);
    if (filled) this.lately = [{ key, filled }, ...this.lately.slice(0, KEPT - 1)];
    return filled;
  }

  /** The same, worked out whether it was before or not, and not kept at hand. */
  fillAnew(start: StartingPoint, choices: Choices): FilledLetter | undefined {
    const template = this.compile(choices.template, choices);
    const situation = this.situation(start, choices);
    if (Array.isArray(template) || !situation) return undefined;
    const sender = senderOf(template, situation);
    const around = this.letterhead?.around(template.head, { ...situation, sender });
    const copy = fairCopyOf(template, situation, this.answers(template, choices));
    return {
      template,
      choices,
      situation: { ...situation, sender },
      ...addresseesOf(template, situation),
      ...copy,
      ...(choices.reply ? { document: underSubjectOf(copy.document, choices.reply) } : {}),
      ...(around ? { around } : {}),
      along: [
        ...papersAlong({ attach: [...(template.head.attach ?? []), ...(choices.papers ?? [])] }, situation),
        ...filesAlong(template.head, this.facts.files ?? []),
        ...addedAlong(choices.added ?? []),
      ],
      letters: this.facts.letters ?? [],
      sameLetterDays: this.facts.sameLetterDays ?? SAME_LETTER_DAYS,
    };
  }

  /** A letter with other choices: the page follows, and what was written by hand stays. */
  change(
    start: StartingPoint,
    letter: Letter,
    change: ChangedChoices,
    onBoth?: (block: CopyPart) => void,
  ): Letter {
    const { goesAt, notHeld, ...rest } = { ...letter.choices, ...change };
    const choices: Choices = {
      ...rest,
      ...(goesAt === undefined ? {} : { goesAt }),
      ...(notHeld === undefined ? {} : { notHeld }),
    };
    // Whoever was chosen for a letter to a client is not whom the next one, to a partner, goes to.
    if (!change.recipients && this.writtenTo(choices) !== this.writtenTo(letter.choices))
      delete choices.recipients;
    // What was put into it stays, where it goes with another template.
    const isIn = choices.putIn?.some(({ template }) => template === choices.template);
    if (isIn || (choices.putIn && Array.isArray(this.compile(choices.template, choices))))
      delete choices.putIn;
    const [base, filled] = [this.fill(start, letter.choices), this.fill(start, choices)];
    if (!filled) return letter;
    return {
      choices,
      document: base ? mergeCopies(base.document, letter.document, filled.document, onBoth) : filled.document,
    };
  }

  /** The answers that fit their blanks. */
  private answers({ blanks }: CompiledTemplate, { answers }: Choices): Answers {
    const { currency } = this.schema;
    const read = new Map<string, unknown>();
    for (const [name, { answer }] of blanks) {
      const typed = Object.hasOwn(answers, name) ? answers[name] : undefined;
      if (typed === undefined || !typed.trim()) continue;
      const value = readAnswer(typed, answer, currency);
      if ('value' in value) read.set(name, value.value);
    }
    return read;
  }
}
