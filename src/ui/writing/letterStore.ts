import { fillIn } from '../../core/fairCopy/change/fillIn';
import { leaveOut } from '../../core/fairCopy/change/leaveOut';
import { putBack } from '../../core/fairCopy/change/putBack';
import { mergeCopies } from '../../core/fairCopy/mergeCopies';
import type { CopyDocument } from '../../core/fairCopy/copyDocument';
import { readAnswer } from '../../core/fill/blanks';
import type { ProofMark } from '../../core/proof/proofMark';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { StartingPoint } from '../../core/records/which/situation';
import type { BlankType } from '../../core/template/document';
import type { Choices, Letter } from '../../core/writing/letter';
import { marginOf, type MarginNote } from '../../core/writing/marginOf';
import { proofLetter } from '../../core/writing/proofLetter';
import type { FilledLetter, WritingDesk } from '../../core/writing/writingDesk';

/** A letter as everything around the page needs it. */
export interface LetterView {
  letter: Letter;
  /** as it fills by rule and choice, before any change by hand */
  filled: FilledLetter;
  notes: MarginNote[];
  marks: ProofMark[];
}

/** The page, once the editor is there. */
export interface Page {
  read: () => Letter;
  show: (letter: Letter) => void;
}

/** After a keystroke nothing is worked out before the next pause of this many milliseconds. */
const PAUSE = 80;

/**
 * The letter being written. The page holds it while it is edited; what hangs on it (margin, proof, draft) follows a
 * moment later, so that typing waits for nothing.
 */
export class LetterStore {
  private letter: Letter | undefined;
  private view: LetterView | undefined;
  private page: Page | undefined;
  private filledFor: { choices: string; filled: FilledLetter } | undefined;
  private pending: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();

  constructor(
    readonly desk: WritingDesk,
    readonly start: StartingPoint,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What is shown; the same object until something changes. */
  readonly snapshot = (): LetterView | undefined => this.view;

  /**
   * Takes up a letter that was begun earlier, with what has changed in the records since.
   * @param base as it was filled then
   */
  resume(letter: Letter, base: CopyDocument): void {
    const filled = this.desk.fill(this.start, letter.choices);
    if (filled) this.put({ ...letter, document: mergeCopies(base, letter.document, filled.document) });
  }

  /** Chooses a template, a record, a person: the page follows, and what was written by hand stays. */
  choose(change: Partial<Choices>): void {
    const now = this.current();
    if (now) this.put(this.desk.change(this.start, now, change));
    else if (change.template !== undefined) {
      const choices: Choices = { answers: {}, ...change, template: change.template };
      const filled = this.desk.fill(this.start, choices);
      if (filled) this.put({ choices, document: filled.document });
    }
  }

  /** Answers a blank wherever it occurs. Gives what was expected when the answer does not fit. */
  answer(name: string, typed: string): string | undefined {
    const now = this.current();
    if (!now) return undefined;
    const { currency = SCHEMA_DEFAULTS.currency } = this.desk.book.business;
    const read = readAnswer(typed, this.blankType(name), currency);
    if ('expected' in read) return read.expected;
    this.choose({ answers: { ...now.choices.answers, [name]: typed } });
    return undefined;
  }

  blankType(name: string): BlankType {
    const template = this.letter && this.desk.compile(this.letter.choices.template);
    return (template && !Array.isArray(template) && template.blanks.get(name)?.answer) || { kind: 'text' };
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
    this.pending ??= setTimeout(this.refresh, PAUSE);
  };

  /** Works out everything that hangs on the letter as it stands at this moment. */
  readonly refresh = (): LetterView | undefined => {
    clearTimeout(this.pending);
    this.pending = undefined;
    const letter = this.current();
    if (!letter || (this.view && same(letter, this.view.letter))) return this.view;
    const filled = this.fill(letter.choices);
    if (!filled) return this.view;
    const notes = marginOf(letter.document, filled);
    const { marks } = proofLetter(letter.document, filled);
    this.letter = letter;
    this.view = { letter, filled, notes, marks };
    for (const listener of this.listeners) listener();
    return this.view;
  };

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

  private fill(choices: Choices): FilledLetter | undefined {
    const key = JSON.stringify(choices);
    if (this.filledFor?.choices === key) return this.filledFor.filled;
    const filled = this.desk.fill(this.start, choices);
    if (filled) this.filledFor = { choices: key, filled };
    return filled;
  }
}

function same(a: Letter, b: Letter): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}
