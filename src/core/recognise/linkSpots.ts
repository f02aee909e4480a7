import type { Step } from '../document/step';
import { safeAddress } from '../document/safeAddress';
import type { KnownFact } from './knownFacts';
import type { Spots } from './spots';

/** Words of a letter that lead somewhere. */
export interface LinkIn {
  from: number;
  to: number;
  address: string;
  button?: boolean;
}

/** Finds links that lead where a fact does, whatever they read as. */
export function addLinks(
  spots: Spots,
  text: string,
  links: readonly LinkIn[],
  facts: readonly KnownFact[],
): void {
  const known = facts.flatMap(({ type, raw, forms }, fact) =>
    type.kind === 'link' && typeof raw === 'string'
      ? [{ fact, leads: whereTo(raw), reads: forms[0]!.says }]
      : [],
  );
  for (const { from, to, address, button } of links) {
    const words = text.slice(from, to);
    for (const { fact, leads, reads } of known) {
      if (leads === undefined || leads !== whereTo(address)) continue;
      spots.add(from, to, { fact, steps: stepsOf(words, reads, button === true), says: words, sure: 0.98 });
    }
  }
}

function stepsOf(words: string, reads: string, button: boolean): Step[] {
  if (button) return [{ step: 'button', words }];
  return words === reads ? [] : [{ step: 'as', words: [words] }];
}

/** An address without what browsers put to it. */
function whereTo(address: string): string | undefined {
  return safeAddress(address)?.replace(/\/$/, '');
}
