import { dayAt, readMoment } from '../../dates/zone';
import { formatsOf } from '../../fill/formats/formatsOf';
import { fullName } from '../../people/names';
import type { Check } from '../proofMark';

/** What was already said to whom is known before it is said again: the same letter within some days is hardly meant. */
export const checkSameAgain: Check = (
  { template, letters, sameLetterDays, addressing: { to } },
  { book },
) => {
  const addresses = new Set(to.map(({ email }) => email.toLowerCase()));
  const last = letters.findLast((letter) => {
    if (letter.template !== template || !letter.to?.some((one) => addresses.has(one.toLowerCase())))
      return false;
    return book.today - dayAt(readMoment(letter.at) ?? 0, book.zone) < sameLetterDays;
  });
  if (!last) return [];
  const formats = formatsOf(book);
  const moment = readMoment(last.at)!;
  const day = dayAt(moment, book.zone);
  const when = `${formats.fromNow(day, book.today)}${day === book.today ? ` at ${formats.time(moment)}` : ''}`;
  const by = last.member && fullName(book.members.get(last.member) ?? {});
  return [
    {
      kind: 'query',
      id: `same again ${last.at}`,
      message: `The same letter went to ${to[0]!.name || to[0]!.email} ${when}${by ? `, by ${by}` : ''}.`,
    },
  ];
};
