import {
  endOfMonth,
  isoOf,
  nextWeekday,
  plusMonths,
  startOfMonth,
  weekdayOf,
  type Day,
} from '../../dates/civil';
import { plusWorkingDays } from '../../dates/workingDays';
import { isoMoment, momentOf, wallClockOf, type Moment } from '../../dates/zone';
import { scalar, type FieldType } from '../../records/fieldType';
import { WEEKDAYS, type Step } from '../../document/step';
import type { Run } from '../run';
import { figures, type Judge, type Meaning, type StepTable } from './meaning';

type Change = Extract<Step, { step: 'plus' | 'minus' }>;
type DayForm = Parameters<Run['formats']['date']>[1];

/** Days from 1970 that the platform's calendar reaches (ECMAScript: 100 million), with room for zones. */
const FURTHEST = 99_999_000;

/** Moves a day; undefined where no working day can be found. */
function move(day: Day, { step, amount, unit }: Change, run: Run): Day | undefined {
  const count = step === 'minus' ? -amount : amount;
  switch (unit) {
    case 'working day':
      return plusWorkingDays(day, count, run.book.workingDays);
    case 'week':
      return day + 7 * count;
    case 'month':
      return plusMonths(day, count);
    case 'year':
      return plusMonths(day, 12 * count);
    default:
      return day + count;
  }
}

function next(day: Day, { day: name }: Extract<Step, { step: 'next' }>): Day {
  if (name !== 'weekday') return nextWeekday(day, WEEKDAYS.indexOf(name) + 1);
  const following = day + 1;
  return weekdayOf(following) > 5 ? nextWeekday(following, 1) : following;
}

/** Both dates and moments take these, a moment by its day on the business's calendar. */
function dayForm(name: DayForm): Pick<StepTable, DayForm> {
  const judge: Judge<Step> = (_step, type) =>
    figures<number>((value, run) => run.formats.date(dayOf(value, type, run), name))();
  return { [name]: judge };
}

function dayOf(value: number, type: FieldType, run: Run): Day {
  return type.kind === 'moment' ? run.formats.dayOf(value) : value;
}

/** Moves the day and keeps a moment's wall-clock time across a clock change. */
function moved(type: FieldType, change: (day: Day, run: Run) => Day | undefined): Meaning {
  const within = (day: Day, run: Run) => {
    const to = change(day, run);
    return to !== undefined && Math.abs(to) <= FURTHEST ? to : undefined;
  };
  if (type.kind === 'date') return { type, apply: within as Meaning['apply'] };
  const apply = (moment: Moment, run: Run) => {
    const { day, time } = wallClockOf(moment, run.book.zone);
    const to = within(day, run);
    return to === undefined ? undefined : momentOf({ day: to, time }, run.book.zone);
  };
  return { type, apply };
}

function change(step: Change, type: FieldType): Meaning | string {
  if (step.unit !== 'hour' && step.unit !== 'minute') return moved(type, (day, run) => move(day, step, run));
  if (type.kind === 'date') return `A date has no time: ${step.unit}s can only be added to a moment.`;
  const elapsed =
    step.amount * (step.unit === 'hour' ? 3_600_000 : 60_000) * (step.step === 'minus' ? -1 : 1);
  const furthest = FURTHEST * 86_400_000;
  const apply = (moment: Moment) => (Math.abs(moment + elapsed) <= furthest ? moment + elapsed : undefined);
  return { type, apply };
}

const toDate =
  (pick: (day: Day) => Day): Judge<Step> =>
  (_, type) => ({
    type: scalar('date'),
    apply: (value: number, run: Run) => pick(dayOf(value, type, run)),
  });

const timeOnly =
  (write: (moment: Moment, run: Run) => string): Judge<Step> =>
  (_, type) =>
    type.kind === 'moment' ? figures(write)() : 'A date has no time of day.';

/** The steps of dates and moments. */
export const DATE_STEPS: StepTable = {
  ...dayForm('date'),
  ...dayForm('long date'),
  ...dayForm('short date'),
  ...dayForm('weekday'),
  ...dayForm('day and month'),
  ...dayForm('month'),
  time: timeOnly((moment, run) => run.formats.time(moment)),
  'date and time': timeOnly((moment, run) => run.formats.dateAndTime(moment)),
  'from now': (_, type) =>
    figures<number>((value, run) => run.formats.fromNow(dayOf(value, type, run), run.book.today))(),
  iso: (_, type) =>
    figures<number>((value, run) =>
      type.kind === 'moment' ? isoMoment(value, run.book.zone) : isoOf(value),
    )(),
  plus: change,
  minus: change,
  next: (step, type) => moved(type, (day) => next(day, step)),
  'start of month': toDate(startOfMonth),
  'end of month': toDate(endOfMonth),
};
