import { isoOf, readDay } from '../../dates/civil';
import { isoMoment, momentOf, type Moment } from '../../dates/zone';
import type { AddressData } from '../../records/recordsFile';
import { foldText } from '../../searching/foldText';
import {
  present,
  type BroughtBooking,
  type BroughtRow,
  type Doubt,
  type Mends,
  type OwnWays,
} from '../brought';
import { oneLine } from '../oneLine';
import type { CalendarEvent } from './eventsIn';

const LONGEST = 366 * 86_400_000;
/** What says nothing of its length lasts so long, in minutes. */
const USUAL = 60;

/**
 * The visit of a calendar's event: what is done is the service that its title names, else its title. What was before is done. Nothing
 * is made of one without an hour at which it begins.
 * @param mends `service` and `times`, as "09:00-11:00"
 */
export function bookingOfEvent(
  event: CalendarEvent,
  row: number,
  own: OwnWays,
  mends: Mends = {},
): BroughtRow<BroughtBooking> {
  const doubts: Doubt[] = [...event.doubts];
  const title = oneLine(event.words.summary ?? '');
  const known = own.services.find(({ name }) => hasWords(title, name));
  const service = oneLine(mends.service ?? '') || known?.name || title;
  const times = timesOf();
  if (!service)
    doubts.push({ column: 'SUMMARY', words: '', message: 'It does not say what is done.', fact: 'service' });
  if (!times || !service || event.uid === undefined) {
    if (event.uid === undefined && event.doubts.length === 0)
      doubts.push({
        column: 'UID',
        words: '',
        message: 'It has no mark of its own (UID): it cannot be told when it comes again.',
      });
    return { row, ...(title ? { says: title } : {}), doubts };
  }
  const { starts, ends } = times;
  const facts = present<BroughtBooking>({
    uid: event.uid.slice(0, 400),
    whose: { emails: event.emails.slice(0, 10), names: [...event.names.slice(0, 10), title].filter(Boolean) },
    service,
    status: statusOf(ends),
    starts_at: isoMoment(starts, own.zone),
    ends_at: isoMoment(ends, own.zone),
    location: placeOf(event.words.location),
    notes: event.words.description?.slice(0, 20_000),
  });
  return { row, facts, doubts };

  function timesOf(): { starts: Moment; ends: Moment } | undefined {
    if (event.wholeDay !== undefined) {
      const day = isoOf(event.wholeDay);
      const [starts, ends] = clockTimes(mends.times ?? '', event.wholeDay);
      if (starts !== undefined && ends !== undefined && ends > starts) return { starts, ends };
      doubts.push({
        column: 'DTSTART',
        words: mends.times ?? day,
        message: 'It lasts the whole day: write from when to when, as 09:00-11:00.',
        fact: 'times',
      });
      return undefined;
    }
    const { starts, ends } = event;
    if (starts === undefined) return undefined;
    if (ends !== undefined && ends - starts <= LONGEST) return { starts, ends };
    if (ends !== undefined)
      doubts.push({
        column: 'DTEND',
        words: '',
        message: 'That is longer than a year. Its end is left out.',
      });
    const minutes = known?.minutes ?? USUAL;
    if (known?.minutes === undefined)
      doubts.push({ column: 'DTEND', words: '', message: 'It does not say when it ends: an hour is taken.' });
    return { starts, ends: starts + minutes * 60_000 };
  }

  function clockTimes(written: string, day: number) {
    const found = /^\s*(\d{1,2})[:.](\d\d)\s*[-–]\s*(\d{1,2})[:.](\d\d)\s*$/.exec(written);
    if (!found || readDay(isoOf(day)) === undefined) return [];
    const [from, to] = [
      [found[1], found[2]],
      [found[3], found[4]],
    ].map(([hours, minutes]) => Number(hours) * 60 + Number(minutes)) as [number, number];
    if (from >= 1440 || to > 1440) return [];
    return [from, to].map((minutes) => momentOf({ day, time: minutes * 60_000 }, own.zone));
  }

  function statusOf(ends: Moment): BroughtBooking['status'] {
    const said = event.words.status?.toUpperCase();
    if (said === 'CANCELLED') return 'cancelled';
    if (ends <= own.now) return 'done';
    return said === 'TENTATIVE' ? 'tentative' : 'confirmed';
  }
}

function placeOf(words: string | undefined): AddressData | undefined {
  const lines = (words ?? '')
    .split(/[\r\n]+|,\s+/)
    .map((line) => line.trim().slice(0, 200))
    .filter(Boolean)
    .slice(0, 6);
  return lines.length > 0 ? { street: lines } : undefined;
}

/** Whether a title names a service, whole. */
function hasWords(title: string, service: string): boolean {
  const plain = (text: string) =>
    ` ${foldText(text)
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()} `;
  return plain(service).trim() !== '' && plain(title).includes(plain(service));
}
