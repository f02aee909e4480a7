import { addressingOf } from '../../core/addressing/addressingOf';
import type { CopyDocument } from '../../core/document/copyDocument';
import { bothChanged, type BothNoted } from '../../core/fairCopy/bothChanged';
import { NOTHING_KNOWN, type LookedUp, type ProofMark } from '../../core/proof/proofMark';
import type { StartingPoint } from '../../core/records/which/situation';
import type { ToLookUp } from '../../core/writing/isAnythingToLookUp';
import type { Letter } from '../../core/writing/letter';
import type { LookedOver, lookOver } from '../../core/writing/lookOver';
import { marginOf } from '../../core/writing/marginOf';
import type { WritingDesk } from '../../core/writing/writingDesk';
import { afterPaint } from '../shell/afterPaint';
import { sameView, type LetterNow, type LetterView, type Page } from './letterView';
import { lookUp } from './lookUp';
import type { Proofer } from './proofer';

/** What hangs on the words is worked out after a pause of so many milliseconds, and no later than so many. */
const PAUSE = 200;
const LONGEST = 1500;
/** What looks letters over comes after the page; where it has not come it is asked for again after so many. */
const ASKED_AGAIN = 3000;

/**
 * A letter as it stands on the page, and what hangs on it (margin, proof, draft): that follows in the next pause, so that typing waits
 * for nothing. The page holds the letter while it is edited.
 */
export class LetterOnPage {
  protected letter: Letter | undefined;
  protected view: LetterView | undefined;
  protected page: Page | undefined;
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
  /** the parts in which both have changed, until somebody has chosen */
  protected readonly both: BothNoted = new Map();
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

  /** Fills a template and looks it over as if it had been chosen, and forgets it: what runs first runs slowest. */
  rehearse(template: string): void {
    const filled = this.desk.fillAnew(this.start, { template, answers: {} });
    if (filled) this.looks?.(filled.document, filled, NOTHING_KNOWN);
  }

  /** The page as it was last shown or typed, to be drawn without the editor. */
  document(): CopyDocument | undefined {
    return this.letter?.document;
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
  protected readonly refresh = (): void => {
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
    const both = bothChanged(document, filled.document, this.both);
    const view: LetterView = {
      ...{ choices, filled, notes, addressing: addressingOf(filled), ...seen },
      ...(both.length ? { both } : {}),
    };
    if (this.view && this.view.filled === filled && sameView(this.view, view)) return;
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

  protected current(): Letter | undefined {
    return this.page?.read() ?? this.letter;
  }

  protected changeDocument(change: (document: CopyDocument) => CopyDocument): void {
    const now = this.current();
    if (now) this.put({ ...now, document: change(now.document) });
  }

  /** @param isAnother the page shows another letter: that is painted before what hangs on it is worked out */
  protected put(letter: Letter, isAnother = false): void {
    this.letter = letter;
    this.page?.show(letter);
    if (!isAnother || !this.page) return this.refresh();
    this.cancelRefresh?.();
    this.cancelRefresh = afterPaint(this.refresh);
  }
}

function listenTo(listeners: Set<() => void>, listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
