import { languageOf } from '../../core/fill/fillInto';
import { shorthandByName } from '../../core/shorthand/shorthandBefore';
import { ownBlank, wordsOfOwnBlank } from '../../core/writing/ownBlank';
import { unfold } from '../../core/writing/unfold';
import type { HoleOptions } from '../editor/holeElement';
import type { ShorthandOptions } from '../editor/shorthand';
import type { LetterStore } from './letterStore';

/** What is typed short in a letter, and what it says there. @param told is told why one cannot stand there, or that nothing is in the way */
export function shorthandOf(
  store: LetterStore,
  told: (why: string | undefined) => void,
): Pick<ShorthandOptions, 'all' | 'write'> {
  const { desk, start } = store;
  const all = shorthandByName(desk.facts.shorthand ?? []);
  return {
    all: () => all,
    write: (shorthand) => {
      const choices = store.now()?.choices;
      const said = choices && unfold(desk, start, choices, shorthand, newNumber);
      told(typeof said === 'string' ? said : undefined);
      return typeof said === 'string' ? undefined : said;
    },
  };
}

const newNumber = () => Math.floor(Math.random() * 1e12);

/** What asks for something on the page: its template's blanks, and the letter's own. */
export function ownQuestions(store: LetterStore): Pick<HoleOptions, 'blankType' | 'answer'> {
  return {
    blankType: (name, id) => {
      const own = ownBlank(id);
      return own ? (own.attrs.answer ?? { kind: 'text' }) : store.blankType(name);
    },
    answer: (name, typed, id) => {
      const own = ownBlank(id);
      return own ? answerOwn(store, name, typed) : store.answer(name, typed);
    },
  };
}

/** Answers a question wherever the letter asks it by itself, each in its own form. */
function answerOwn(store: LetterStore, name: string, typed: string): string | undefined {
  const now = store.now();
  if (!now) return undefined;
  const { template, situation } = now.filled;
  const language = languageOf(template, situation.book);
  const said: [id: string, words: string][] = [];
  for (const id of store.holes()) {
    const own = ownBlank(id);
    if (own?.attrs.name !== name) continue;
    const answer = wordsOfOwnBlank(own, typed, store.desk, situation, language);
    if ('expected' in answer) return answer.expected;
    said.push([id, answer.words]);
  }
  store.answerOwn(said);
  return undefined;
}
