import { isoOf } from '../../core/dates/civil';
import type { ListedTemplate } from '../../core/fitting/listedTemplate';
import type { OccasionSettings } from '../../core/occasions/occasion';
import { isOfAct } from '../../core/occasions/templateFor';
import { visitDays } from '../../core/occasions/visitDays';
import type { RecordBook } from '../../core/records/recordBook';
import type { Looking } from '../../data/repositories/worthWriting';

/** Where the database looks for what is worth writing: the days, and the templates that remind. */
export function lookingFor(
  book: RecordBook,
  templates: readonly ListedTemplate[],
  { reminderSpacing }: OccasionSettings,
): Looking {
  const { near, toConfirm } = visitDays(book);
  return {
    zone: book.zone,
    today: isoOf(book.today),
    near: near.map(({ day, since }) => ({ day: isoOf(day), near: isoOf(since) })),
    toConfirm: toConfirm.map(isoOf),
    reminderSpacing,
    reminders: templates
      .filter(({ head }) => isOfAct(head, 'invoice overdue', 'invoice'))
      .map((template) => template.key),
  };
}
