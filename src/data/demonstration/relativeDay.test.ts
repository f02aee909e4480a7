import { describe, expect, it } from 'vitest';
import { readDay } from '../../core/dates/civil';
import { checkRecords } from '../../core/records/read/checkRecords';
import { DEMONSTRATION } from '../test/temporaryDatabase';
import { readDemonstration } from './readDemonstration';
import { relativeDay } from './relativeDay';

const on = (iso: string) => ({ today: readDay(iso)!, zone: 'Europe/London' });

describe('a relative day', () => {
  it.each([
    ['-24d', '2026-11-01'],
    ['+0d', '2026-11-25'],
    ['+3wd', '2026-11-30'],
    ['-3wd', '2026-11-20'],
    ['+1wd 09:30', '2026-11-26T09:30:00+00:00'],
    ['+200d 09:30', '2027-06-13T09:30:00+01:00'],
  ])('%s on Wednesday 25 November 2026 is %s', (text, expected) =>
    expect(relativeDay(text, on('2026-11-25'))).toBe(expected),
  );

  it('of work on a Saturday counts from Monday', () => {
    expect(relativeDay('+0wd', on('2026-11-28'))).toBe('2026-11-30');
    expect(relativeDay('+1wd', on('2026-11-28'))).toBe('2026-12-01');
  });

  it('is nothing else', () => expect(relativeDay('in 3 days', on('2026-11-25'))).toBeUndefined());
});

it('the demonstration data reads on any day of the week and across clock changes', async () => {
  for (const day of ['2026-03-28', '2026-03-29', '2026-10-24', '2026-10-25', '2027-02-28', '2028-02-29']) {
    const { records } = await readDemonstration(DEMONSTRATION, Date.parse(`${day}T12:00:00Z`));
    expect(checkRecords(records)).toEqual([]);
  }
});
