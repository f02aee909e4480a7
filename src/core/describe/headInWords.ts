import { withArticle } from '../fill/formats/article';
import type { TemplateHead } from '../template/template';
import { capital } from './capital';

/** Whom a letter comes from, as it is chosen. */
export const FROM_WORDS: Readonly<Record<NonNullable<TemplateHead['from']>, string>> = {
  writer: 'whoever writes it',
  responsible: 'whoever looks after the client or job',
  house: 'the business',
};

/** Whom a letter is for, as it is chosen. */
export const TO_WORDS: Readonly<Record<NonNullable<TemplateHead['writtenTo']>, string>> = {
  client: 'the client',
  partner: 'a partner',
  member: 'a member',
};

/**
 * What the head of a template says of its letters, in a sentence or two.
 * @param called what the business calls the record that it starts from
 * @param fits what its condition says, in words
 */
export function headInWords(head: TemplateHead, called: string, fits: string | undefined): string {
  const { writtenTo = 'client', from = 'writer', copy, blindCopy, action, resting } = head;
  const copies = [...(copy ? ['a copy'] : []), ...(blindCopy ? ['a blind copy'] : [])].join(' and ');
  const letters = `From ${withArticle(called)}, to ${TO_WORDS[writtenTo]}${copies && `, with ${copies}`}, by ${FROM_WORDS[from]}.`;
  return [
    letters,
    ...(action ? [`${action.first ? 'The first' : 'One'} for: ${action.act}.`] : []),
    ...(fits ? [`${capital(fits)}.`] : []),
    ...(resting ? ['Resting: not offered.'] : []),
  ].join(' ');
}
