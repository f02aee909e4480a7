import { MORNING_HOURS } from '../../core/contract/telling';
import { momentOf } from '../../core/dates/zone';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { keepMorningHour, morningHour } from '../../data/repositories/telling/morningLetters';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** At which hour a member gets a letter with what waits. */
export interface MorningSetting {
  /** undefined: none */
  hour?: number | undefined;
  /** each hour that can be chosen, as the business writes it */
  choices: [hour: number, words: string][];
}

/** When a member gets a letter with what waits. */
export const morningSetting = forMember(
  async ({ business_id, id }: CurrentMember): Promise<MorningSetting> => {
    const book = await businessBook(business_id);
    const formats = formatsOf(book);
    const inWords = (hour: number) =>
      formats.time(momentOf({ day: book.today, time: hour * 3_600_000 }, book.zone));
    return {
      hour: await morningHour(connection(), business_id, id),
      choices: MORNING_HOURS.map((hour) => [hour, inWords(hour)]),
    };
  },
);

/** Has a member get one from now on, or (null) none. */
export const settleMorning = forMember(async ({ business_id, id }: CurrentMember, hour: number | null) =>
  keepMorningHour(connection(), { business_id, member_id: id }, hour, new Date(now())),
);
