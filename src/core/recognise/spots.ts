import type { Step } from '../document/step';

/** Words of a letter that say a known fact. */
export interface Spot {
  from: number;
  to: number;
  means: Meaning[];
}

/** One fact that words may say. */
export interface Meaning {
  /** which of the known facts */
  fact: number;
  steps: Step[];
  /** what a field in that form says */
  says: string;
  /** 0 to 1: how surely words like these say such a fact, by themselves */
  sure: number;
}

/** Spots by their place: several readers find facts in the same words. */
export class Spots {
  private readonly byPlace = new Map<string, Spot>();

  add(from: number, to: number, meaning: Meaning): void {
    const key = `${from}-${to}`;
    const spot = this.byPlace.get(key) ?? { from, to, means: [] };
    // The first form of a fact is the likeliest.
    const known = spot.means.find(({ fact }) => fact === meaning.fact);
    if (!known) spot.means.push(meaning);
    else if (meaning.sure > known.sure) Object.assign(known, meaning);
    this.byPlace.set(key, spot);
  }

  all(): Spot[] {
    return [...this.byPlace.values()];
  }
}

/** A form in which no step writes a fact is never certain: it may say more or less than was meant. */
const OTHER_FORM = 0.85;

/** How sure a meaning is, by whether a step writes the very words. */
export function sureOf(sure: number, says: string, words: string): number {
  return says === words ? sure : Math.min(sure, OTHER_FORM);
}
