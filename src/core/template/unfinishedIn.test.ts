import { expect, it } from 'vitest';
import type { Passage } from './template';
import { readPassage } from './text/readTemplate';
import { unfinishedInPassages } from './unfinishedIn';

function passage(key: string, body: string): Passage {
  const { value } = readPassage(`---\nname: ${key}\n---\n${body}\n`, 'p', key);
  return { ...value!, key };
}

it('a passage has the made-up parts of those in it, each once', () => {
  const counted = unfinishedInPassages([
    passage('inner', 'Ask at {{unfinished "the door"}}, {{unfinished "Quay 1"}}.'),
    passage('outer', '{{> inner}}\n\n{{> inner}}\n\nRing {{unfinished "01632 960100"}}.'),
    passage('round', '{{> round}}\n\nWords.'),
  ]);
  expect(Object.fromEntries(counted)).toEqual({ inner: 2, outer: 3, round: 0 });
});
