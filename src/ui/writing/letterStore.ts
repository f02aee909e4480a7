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
import { addressingOf, type Addressing } from '../../core/addressing/addressingOf';
import type { SaidOtherwise } from '../../core/fill/compile/saidOtherwise';
import { mergeCopies } from '../../core/fairCopy/mergeCopies';
import type { CopyDocument } from '../../core/document/copyDocument';
import { readMoment } from '../../core/dates/zone';
import { readTypedAnswer } from '../../core/writing/readTypedAnswer';
import { NOTHING_KNOWN, type LookedUp, type Place, type ProofMark } from '../../core/proof/proofMark';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { StartingPoint } from '../../core/records/which/situation';
import type { BlankType } from '../../core/document/templateDocument';
import type { ChangedChoices, Choices, Letter } from '../../core/writing/letter';
import type { HeldDays } from '../../core/writing/heldDays';
import type { ToLookUp } from '../../core/writing/isAnythingToLookUp';
import type { LookedOver, lookOver } from '../../core/writing/lookOver';
import { marginOf, type MarginNote } from '../../core/writing/marginOf';
import { placeOfCaret, putIn } from '../../core/writing/putIn';
import type { FilledLetter, WritingDesk } from '../../core/writing/writingDesk';
import type { Proofer } from './proofer';
import { lookUp } from './lookUp';
import { afterPaint } from '../shell/afterPaint';

/** What everything around the page needs of a letter. Words typed between the fields do not change it. */
export interface LetterView {
  choices: Choices;
  /** as it fills by rule and choice, before any change by hand */
  filled: FilledLetter;
  notes: MarginNote[];
  /** absent until it has been looked over for the first time */
  marks?: ProofMark[];
  addressing: Addressing;
  /** the days that it offers; absent: it offers none */
  holds?: HeldDays;
}

/** A letter at one moment, to be kept or sent. */
export interface LetterNow extends Letter {
  filled: FilledLetter;
}

/** The page, once the editor is there. */
export interface Page {
  read: () => Letter;
  show: (letter: Letter) => void;
  /** which block the caret stands in, the subject being the first */
  caret: () => number;
  /** selects words */
  goTo: (place: Place) => void;
}

/** What hangs on the words is worked out after a pause of so many milliseconds, and no later than so many. */
const PAUSE = 200;
const LONGEST = 1500;
/** What looks letters over comes after the page; where it has not come it is asked for again after so many. */
const ASKED_AGAIN = 3000;

/**
 * The letter being written. The page holds it while it is edited; what hangs on it (margin, proof, draft) follows in
 * the next pause, so that typing waits for nothing.
 */
export class LetterStore {
  private letter: Letter | undefined;
  private view: LetterView | undefined;
  private page: Page | undefined;
  /** calls the next reading off; undefined while none is waited for */
  private cancelRefresh: (() => void) | undefined;
  private waitingSince = 0;
  /** what is known of the letter that only the server tells, and of which words and days that was asked last */
  private known: LookedUp = NOTHING_KNOWN;
  private lookedUp = '';
  /** what is shown was worked out for the letter of this turn */
  private turn = 0;
  /** looks letters over on this page, once it is here */
  private looks: typeof lookOver | undefined;
  private left = false;
  private readonly views = new Set<() => void>();
  private readonly words = new Set<() => void>();

  constructor(
    readonly desk: WritingDesk,
    readonly start: StartingPoint,
    private readonly proofer: Proofer,
  ) {
    this.bringLooks();
  }

  private bringLooks(): void {
    import('../../core/writing/lookOver').then(
      (brought) => {
        this.looks = brought.lookOver;
        this.refresh();
      },
      () => setTimeout(() => this.left || this.bringLooks(), ASKED_AGAIN),
    );
  }

  /** Hears of every other view. */
  readonly subscribe = (listener: () => void): (() => void) => listenTo(this.views, listener);

  /** Hears of every change, typed words included. */
  readonly subscribeToWords = (listener: () => void): (() => void) => listenTo(this.words, listener);

  /** What is shown; the same object until something around the page changes. */
  readonly snapshot = (): LetterView | undefined => this.view;

  /** The letter with the last keystroke in it; undefined before a template is chosen. */
  now(): LetterNow | undefined {
    const letter = this.current();
    const filled = letter && this.desk.fill(this.start, letter.choices);
    return letter && filled && { ...letter, filled };
  }

  /** What the proof says of the letter at this moment; undefined: it cannot look yet. */
  marks(): ProofMark[] | undefined {
    const now = this.now();
    return now && this.looks?.(now.document, now.filled, this.known).marks;
  }

  /** The page as it was last shown or typed, to be drawn without the editor. */
  document(): CopyDocument | undefined {
    return this.letter?.document;
  }

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
    if (filled) return this.put({ choices, document: mergeCopies(base, letter.document, filled.document) });
    // What was put in is no longer there, or goes no longer with the rest: its words stay, as words.
    const { putIn, ...alone } = choices;
    if (putIn && this.desk.fill(this.start, alone)) this.put({ choices: alone, document: letter.document });
  }

  /** Chooses a template, a record, a person, an hour: the page follows, and what was written by hand stays. */
  choose(change: ChangedChoices): undefined {
    const now = this.current();
    if (now) this.put(this.desk.change(this.start, now, change));
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

  /** From now on the page holds the letter. */
  attach(page: Page): () => void {
    this.page = page;
    return () => {
      this.letter = this.current();
      this.page = undefined;
    };
  }

  /** Something was typed. */
  readonly typed = (): void => {
    const moment = performance.now();
    if (!this.cancelRefresh) this.waitingSince = moment;
    this.cancelRefresh?.();
    const wait = Math.max(0, Math.min(PAUSE, this.waitingSince + LONGEST - moment));
    // The keystroke is painted first.
    const timer = setTimeout(() => (this.cancelRefresh = afterPaint(this.refreshTyped)), wait);
    this.cancelRefresh = () => clearTimeout(timer);
  };

  /** Works out everything that hangs on the letter as it stands. */
  private readonly refresh = (): void => {
    const now = this.begunRefresh();
    if (!now) return;
    this.see(now, this.looks?.(now.document, now.filled, this.known));
    for (const listener of this.words) listener();
  };

  /** The same while it is typed: the proof looks beside the page. */
  private readonly refreshTyped = (): void => {
    const now = this.begunRefresh();
    if (!now) return;
    for (const listener of this.words) listener();
    const { turn, known } = this;
    const { choices, document } = now;
    void this.proofer.proof(this.start, { choices, document }, known).then((found) => {
      if (turn === this.turn) this.see(now, found ?? this.looks?.(now.document, now.filled, known));
    });
  };

  private begunRefresh(): LetterNow | undefined {
    this.cancelRefresh?.();
    this.cancelRefresh = undefined;
    this.turn++;
    const now = this.now();
    if (!now) return undefined;
    const { choices, document } = now;
    this.letter = { choices, document };
    return now;
  }

  private see({ choices, document, filled }: LetterNow, found: LookedOver | undefined): void {
    const { toLookUp, ...seen } = found ?? {};
    if (toLookUp) this.lookUp(toLookUp);
    const notes = marginOf(document, filled);
    const view: LetterView = { choices, filled, notes, addressing: addressingOf(filled), ...seen };
    if (this.view && this.view.filled === filled && same(this.view, view)) return;
    this.view = view;
    for (const listener of this.views) listener();
  }

  /** The page is left. */
  leave(): void {
    this.left = true;
    this.proofer.end();
  }

  /** Asks whose the names, addresses and numbers are, and whether the days are free, where they were not asked about. */
  private lookUp(asked: ToLookUp): void {
    const key = JSON.stringify(asked);
    if (key === this.lookedUp) return;
    this.lookedUp = key;
    const { kind, key: of } = this.start;
    void lookUp(`${kind}:${of}`, asked).then((known) => {
      if (this.lookedUp !== key) return;
      // Without a connection the server looks when the letter comes.
      if (!known) this.lookedUp = '';
      else if (JSON.stringify(known) !== JSON.stringify(this.known)) {
        this.known = known;
        this.refresh();
      }
    });
  }

  private current(): Letter | undefined {
    return this.page?.read() ?? this.letter;
  }

  private changeDocument(change: (document: CopyDocument) => CopyDocument): void {
    const now = this.current();
    if (now) this.put({ ...now, document: change(now.document) });
  }

  private put(letter: Letter): void {
    this.letter = letter;
    this.page?.show(letter);
    this.refresh();
  }
}

function listenTo(listeners: Set<() => void>, listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether two views of the same filling show the same. */
function same(a: LetterView, b: LetterView): boolean {
  return JSON.stringify([a.notes, a.marks, a.holds]) === JSON.stringify([b.notes, b.marks, b.holds]);
}
