import type { ListEntry } from '../../core/contract/list';
import type { ShownLetter } from '../../core/contract/letters';
import { otherSide } from './otherSide';
import { stateInWords } from './LetterState';

const KIND: Readonly<Record<string, 'needs you' | 'waiting'>> = {
  held: 'needs you',
  later: 'waiting',
  going: 'waiting',
  bounced: 'needs you',
  failed: 'needs you',
  'may have arrived': 'needs you',
  'taken back': 'waiting',
};

/** A letter as a row of Post. */
export function letterEntry(letter: ShownLetter): ListEntry {
  return {
    key: letter.id,
    name: letter.subject || 'Text message',
    note: `${otherSide(letter)}, ${letter.goes ?? letter.day}`,
    state: letter.waits
      ? { words: 'waits', kind: 'needs you' }
      : { words: stateInWords(letter), kind: KIND[letter.status] ?? 'in order' },
  };
}
