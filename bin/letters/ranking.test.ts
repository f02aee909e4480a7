import { expect, it } from 'vitest';
import { meanReciprocalRank, placed, rankedDemonstration } from './ranking';
import { SITUATIONS, SITUATIONS_AT } from './situations';

it('the right template stands first, or nearly, in situations that were written down beforehand', async () => {
  const { desk, letters } = await rankedDemonstration(SITUATIONS_AT);
  const all = placed(desk, letters, SITUATIONS);
  expect(all.length).toBeGreaterThanOrEqual(60);
  expect(meanReciprocalRank(all)).toBeGreaterThanOrEqual(0.85);
});

it('no two templates are offered for a record for the same reason', async () => {
  const { desk, letters } = await rankedDemonstration(SITUATIONS_AT);
  for (const { from, offered } of placed(desk, letters, SITUATIONS)) {
    // What is in another language says only that.
    const reasons = offered.map(({ reason }) => reason).filter((reason) => !/^In \p{Lu}/u.test(reason));
    expect(new Set(reasons).size, `${from}: ${reasons.join(' | ')}`).toBe(reasons.length);
  }
});

it('a mean reciprocal rank is what it says', () => {
  const at = (place: number | undefined) => ({ from: '', right: '', place, offered: [] });
  expect(meanReciprocalRank([at(1), at(2), at(undefined)])).toBeCloseTo(0.5);
});
