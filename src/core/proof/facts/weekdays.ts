import { weekdayOf } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { datesIn, weekdayName } from '../../reading/datesIn';
import { isSaidByField } from '../reading/lines';
import type { Check } from '../proofMark';

/** A weekday that does not match its date: one of the two is wrong. */
export const checkWeekdays: Check = ({ lines, language }, { book }) =>
  lines.flatMap((line) =>
    datesIn(line.text, language, book.today).flatMap(({ from, to, day, weekday }) => {
      if (!weekday || weekday.number === weekdayOf(day) || isSaidByField(line, from, to)) return [];
      const written = line.text.slice(weekday.from, weekday.to);
      const right = weekdayName(weekdayOf(day), language, written);
      return [
        {
          kind: 'query' as const,
          id: `weekday ${line.text.slice(from, to)}`,
          message: `“${line.text.slice(from, to)}”: ${formatsOf(book).date(day, 'date')} is a ${weekdayName(weekdayOf(day), 'en', 'Wednesday')}.`,
          at: { line: line.index, from: weekday.from, to: weekday.to },
          cure: { words: `Write “${right}”`, put: right },
        },
      ];
    }),
  );
