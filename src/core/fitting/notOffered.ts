import { withArticle } from '../fill/formats/article';
import { bookingWords } from '../records/bookingWords';
import { LEADS_TO, type Situation, type StartingPoint } from '../records/which/situation';
import type { TemplateHead } from '../template/template';

/** Why a template is not offered for a record, in words; undefined where it is. */
export function notOffered(
  { resting, kind, startsFrom }: Pick<TemplateHead, 'resting' | 'kind' | 'startsFrom'>,
  situation: Situation,
): string | undefined {
  if (resting) return 'It is resting';
  if (kind === 'text') return 'It is a text message';
  if (canStart(startsFrom, situation)) return undefined;
  const called =
    startsFrom === 'booking' ? bookingWords(situation.book.business.booking_label).booking : startsFrom;
  return `It starts from ${withArticle(called)}, and there is none here`;
}

/** Whether the records a template starts from can be reached from here. */
function canStart(startsFrom: StartingPoint['kind'], situation: Situation): boolean {
  if (startsFrom === situation.start.kind || startsFrom === 'client') return true;
  return LEADS_TO[situation.start.kind].includes(startsFrom) && situation[startsFrom] !== undefined;
}
