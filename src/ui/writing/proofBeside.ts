import { tellCountries } from '../../core/fill/formats/phones/tellCountries';
import { lookOver } from '../../core/writing/lookOver';
import { WritingDesk } from '../../core/writing/writingDesk';
import type { Proofread, ToProofer } from './proofer';

let desk: WritingDesk | undefined;

/** Looks letters over while they are typed. */
export function hear({ data }: MessageEvent<ToProofer>): void {
  switch (data.type) {
    case 'facts':
      tellCountries(data.phones);
      desk = new WritingDesk(data.facts);
      return;
    case 'template':
      return desk?.bring(data.template);
    case 'proof': {
      const { id, start, letter, lookedUp } = data;
      const filled = desk?.fill(start, letter.choices);
      const proofread: Proofread = {
        id,
        ...(filled ? { found: lookOver(letter.document, filled, lookedUp) } : {}),
      };
      return postMessage(proofread);
    }
  }
}
