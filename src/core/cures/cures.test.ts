import { expect, it } from 'vitest';
import { CURES, curesOf, needsSomebody, NEEDS_SOMEBODY, whatIsKnown } from './cures';

it('every state that needs somebody has cures that begin from it, and their undoing leads back', () => {
  for (const status of NEEDS_SOMEBODY) {
    const offered = curesOf({ status });
    expect(offered.length, status).toBeGreaterThan(0);
    for (const { cure, undo } of offered) {
      expect(CURES[cure].from).toContain(status);
      if (!undo) continue;
      const after = CURES[cure].to ?? status;
      expect(CURES[undo].from).toContain(after);
      expect(CURES[undo].to ?? after).toBe(status);
    }
  }
  expect(curesOf({ status: 'sent' })).toEqual([]);
});

it('what has to be filled again is not sent as it was', () => {
  const offered = (canBeWrittenOn: boolean) =>
    curesOf({ status: 'held', canBeWrittenOn }).map(({ cure }) => cure);
  expect(offered(false)).toEqual(['send', 'drop']);
  expect(offered(true)).toEqual(['drop']);
});

it('what somebody has dealt with needs nobody', () => {
  expect(needsSomebody({ status: 'failed', settled_by: null })).toBe(true);
  expect(needsSomebody({ status: 'failed', settled_by: 'Imke Sandoval' })).toBe(false);
  expect(needsSomebody({ status: 'sent', settled_by: null })).toBe(false);
  expect(needsSomebody({ status: 'going', settled_by: null })).toBe(false);
  expect(needsSomebody({ status: 'going', settled_by: null, triedLong: true })).toBe(true);
});

it.each([
  ['failed', '554 Never', ['It was refused and has not gone.', 'The mail server said: 554 Never']],
  ['failed', 'It was tried many times.', ['It has not gone.', 'It was tried many times.']],
  ['held', 'Send it after the visit?', ['Send it after the visit?']],
  ['may have arrived', null, []],
  [
    'going',
    '450 Later',
    ['It has been refused for over an hour, and is still tried.', 'The mail server said: 450 Later'],
  ],
])('of one that is %s because of %j it is known', (status, reason, words) => {
  expect(whatIsKnown({ status, reason })).toEqual(words);
});
