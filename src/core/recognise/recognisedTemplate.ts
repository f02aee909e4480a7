import type { StartingKind } from '../records/recordKind';
import { NO_SUBJECT } from '../template/noSubject';
import type { Template } from '../template/template';
import type { Find } from './find';
import type { LetterText } from './letterText';
import { nameOfLetter } from './nameOfLetter';
import { fieldOf, placeFields } from './placeFields';

/** Where a template goes that nobody has sorted yet. */
const GROUP = 'From letters';

/**
 * The template that a letter becomes when fields stand in the place of the client’s facts.
 * @param finds those that are taken
 * @param language BCP 47, where it is not the business’s
 */
export function recognisedTemplate(
  letter: LetterText,
  finds: readonly Find[],
  { startsFrom, language }: { startsFrom: StartingKind; language?: string | undefined },
): Template {
  const { subject, document } = placeFields(letter, finds.map(fieldOf));
  return {
    head: {
      name: nameOfLetter(letter, finds),
      group: GROUP,
      startsFrom,
      subject: subject.length ? subject : NO_SUBJECT,
      ...(language === undefined ? {} : { language }),
    },
    document,
  };
}
