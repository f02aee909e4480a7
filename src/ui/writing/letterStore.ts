import { fillIn } from '../../core/fairCopy/change/fillIn';
import { leaveOut } from '../../core/fairCopy/change/leaveOut';
import { putWords } from '../../core/fairCopy/change/putWords';
import { putBack } from '../../core/fairCopy/change/putBack';
import { putParagraphs } from '../../core/fairCopy/change/putParagraphs';
import { putListed } from '../../core/fairCopy/change/putListed';
import { readDayAtStart } from '../../core/dates/civil';
import { languageOf } from '../../core/fill/fillInto';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { AddedFile } from '../../core/contract/along';
import { idOfAdded, type Along } from '../../core/writing/goesAlong';
import type { SaidOtherwise } from '../../core/fill/compile/saidOtherwise';
import { noteBoth, takeTheirs } from '../../core/fairCopy/bothChanged';
import { mergeCopies } from '../../core/fairCopy/mergeCopies';
import { openHoles } from '../../core/fairCopy/values';
import type { CopyDocument, CopyPart } from '../../core/document/copyDocument';
import { readMoment } from '../../core/dates/zone';
import { readTypedAnswer } from '../../core/writing/readTypedAnswer';
import { type ProofMark } from '../../core/proof/proofMark';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { BlankType } from '../../core/document/templateDocument';
import type { ChangedChoices, Choices, Letter } from '../../core/writing/letter';
import { placeOfCaret, putIn } from '../../core/writing/putIn';
import { LetterOnPage } from './letterOnPage';

/** The letter being written, with all that can be done with it. */
export class LetterStore extends LetterOnPage {
  /**
   * Takes up a letter that was begun earlier, with what has changed in the records since.
   * @param base as it was filled then
   */
  resume(letter: Letter, base: CopyDocument): void {
    const { goesAt, ...rest } = letter.choices;
    // A time that has passed meanwhile is none.
    const isToCome = (readMoment(goesAt ?? '') ?? 0) > this.desk.facts.now;
    const choices = isToCome ? letter.choices : rest;
    const filled = this.desk.fill(this.start, choices);
    if (filled) {
      const document = mergeCopies(base, letter.document, filled.document, this.onBoth);
      return this.put({ choices, document });
    }
    // What was put in is no longer there, or goes no longer with the rest: its words stay, as words.
    const { putIn, ...alone } = choices;
    if (putIn && this.desk.fill(this.start, alone)) this.put({ choices: alone, document: letter.document });
  }

  private readonly onBoth = (block: CopyPart): void => noteBoth(this.both, block);

  /** Where both have changed a part of it: what its writer wrote stands, or what it would say now. */
  settle(origin: string, which: 'mine' | 'theirs'): void {
    this.both.delete(origin);
    const { filled } = this.view ?? {};
    if (which === 'theirs' && filled)
      this.changeDocument((document) => takeTheirs(document, filled.document, origin));
    else this.refresh();
  }

  /** Chooses a template, a record, a person, an hour: the page follows, and what was written by hand stays. */
  choose(change: ChangedChoices): undefined {
    const now = this.current();
    if (now) this.put(this.desk.change(this.start, now, change, this.onBoth), isAnotherLetter(change));
    else if (change.template !== undefined) {
      const { goesAt: _, notHeld: __, ...chosen } = change;
      const choices: Choices = { answers: {}, ...chosen, template: change.template };
      const filled = this.desk.fill(this.start, choices);
      if (filled) this.put({ choices, document: filled.document });
    }
  }

  /** Answers a blank wherever it occurs. Gives what was expected when the answer does not fit. */
  answer(name: string, typed: string): string | undefined {
    const now = this.current();
    if (!now) return undefined;
    const read = readTypedAnswer(typed, this.blankType(name), this.desk.book);
    if ('expected' in read) return read.expected;
    this.choose({ answers: { ...now.choices.answers, [name]: read.answer } });
    return undefined;
  }

  /** Puts the words of a template in where the caret is. Gives why not, where that cannot be. */
  putIn(template: string): string | undefined {
    const now = this.current();
    if (!now) return undefined;
    const letter = putIn(this.desk, this.start, now, { template, at: this.page?.caret() });
    if (typeof letter === 'string') return letter;
    this.put(letter);
    return undefined;
  }

  /** What is still missing on the page, by its places. */
  holes(): string[] {
    const now = this.current();
    return now ? openHoles(now.document).map(({ id }) => id) : [];
  }

  /** Says the answers to questions that the letter asks for itself, by their places. */
  answerOwn(answers: readonly (readonly [id: string, words: string])[]): void {
    this.changeDocument((document) =>
      answers.reduce((one, [id, words]) => fillIn(one, new Set([id]), words), document),
    );
  }

  blankType(name: string): BlankType {
    const { choices } = this.letter ?? {};
    const template = choices && this.desk.compile(choices.template, choices);
    return (template && !Array.isArray(template) && template.blanks.get(name)?.answer) || { kind: 'text' };
  }

  /** Has a fact say something else in this letter, wherever it stands; undefined: what its template has it say. */
  sayOtherwise(ids: readonly string[], said: SaidOtherwise | undefined): void {
    const { ...saidOtherwise } = this.current()?.choices.saidOtherwise ?? {};
    for (const id of ids) {
      delete saidOtherwise[id];
      if (said) saidOtherwise[id] = said;
    }
    this.choose({ saidOtherwise });
  }

  /** Lets a query of the proof stand. */
  stet(id: string): void {
    this.choose({ stets: [...(this.current()?.choices.stets ?? []), id] });
  }

  /** Puts right what a mark of the proof is about, as its cure says. */
  cure(mark: ProofMark): void {
    const { cure, at } = this.atThisMoment(mark);
    if (!cure) return;
    if ('leaveOut' in cure) this.leaveOutAlong(cure.leaveOut);
    else if ('attach' in cure)
      this.choose({ papers: [...(this.current()?.choices.papers ?? []), cure.attach] });
    else if (at) this.changeDocument((document) => putWords(document, at, cure.put));
  }

  /** Goes to the words that a mark is about, and selects them. */
  goTo(mark: ProofMark): void {
    const { at } = this.atThisMoment(mark);
    if (at) this.page?.goTo(at);
  }

  /** A mark with the place that it has now: something may have been typed before it since it was shown. */
  private atThisMoment(mark: ProofMark): ProofMark {
    const { at: _, ...gone } = mark;
    return this.marks()?.find(({ id }) => id === mark.id) ?? gone;
  }

  /** Says of something that goes along whether it goes with this letter; what was added is there no more. */
  letGoAlong({ id, added }: Pick<Along, 'id' | 'added'>, goes: boolean): void {
    const { leftOut = [], added: all = [], papers = [] } = this.current()?.choices ?? {};
    if (added) return this.choose({ added: all.filter((one) => idOfAdded(one) !== id) });
    if (papers.some((paper) => paper === id))
      return this.choose({ papers: papers.filter((paper) => paper !== id) });
    const others = leftOut.filter((one) => one !== id);
    this.choose({ leftOut: goes ? others : [...others, id] });
  }

  /** The same by the id of it. */
  leaveOutAlong(id: string): void {
    const one = this.view?.filled.along.find((along) => along.id === id);
    if (one) this.letGoAlong(one, false);
  }

  /** Has a file go along besides, once. */
  addAlong(file: AddedFile): void {
    const all = this.current()?.choices.added ?? [];
    if (!all.some((one) => idOfAdded(one) === idOfAdded(file))) this.choose({ added: [...all, file] });
  }

  /** Offers a day: in the list that the caret stands in or before, or in a new one there. @param day ISO */
  putDay(day: string): void {
    const { template, situation } = this.view?.filled ?? {};
    if (!template || !situation) return;
    const { book } = situation;
    const words = formatsOf(book, languageOf(template, book)).date(readDayAtStart(day)!, 'long date');
    this.changeDocument((document) =>
      putListed(document, placeOfCaret(document.content, this.page?.caret()), words),
    );
  }

  /** Puts words in where the caret is, as paragraphs; before the signature where it is nowhere. */
  putParagraphs(words: string): void {
    this.changeDocument((document) =>
      putParagraphs(document, placeOfCaret(document.content, this.page?.caret()), words),
    );
  }

  fillIn(ids: readonly string[], words: string): undefined {
    this.changeDocument((document) => fillIn(document, new Set(ids), words));
  }

  putBack(ids: readonly string[]): void {
    const filled = this.view?.filled.document;
    if (filled)
      this.changeDocument((document) => ids.reduce((one, id) => putBack(one, id, filled), document));
  }

  leaveOut(ids: readonly string[]): void {
    const { locale = SCHEMA_DEFAULTS.locale } = this.desk.book.business;
    this.changeDocument((document) => ids.reduce((one, id) => leaveOut(one, id, locale), document));
  }
}

/** Whether most of the page will read otherwise. */
function isAnotherLetter({ template, project, booking, invoice }: ChangedChoices): boolean {
  return [template, project, booking, invoice].some((key) => key !== undefined);
}
