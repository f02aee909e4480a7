import type { Day } from '../dates/civil';
import { fullName } from '../people/names';
import { partName } from '../people/partName';
import { kindOfName } from '../people/kindOfName';
import { PHONE } from '../people/phonePattern';
import { datesIn } from '../reading/datesIn';
import { CLOSING } from '../reading/closing';
import { languageGuessed } from '../reading/languageGuessed';
import type { IncomingMail } from './incomingMail';
import { ownWords } from './ownWords';

/** What somebody whom no record knows seems to ask, for a person to look over. */
export interface ProposedEnquiry {
  name?: string;
  email?: string;
  phone?: string;
  /** of the business's services the one that is named */
  service?: string;
  /** days from today on, in the order in which they are named */
  days: Day[];
  message: string;
}

/** So many days are taken up, as in the form for asking. */
const MOST_DAYS = 3;

/** A name in a line of its own: up to four words that begin with a capital. */
const NAME = /^\p{Lu}[\p{L}\p{M}’'.-]*(?:\s(?:\p{Lu}[\p{L}\p{M}’'.-]*|and|und|et|de|van|von|&)){0,4}$/u;

/**
 * Reads out of a message from somebody unknown who asks, for what and for when. All of it is a proposal: nothing is made of it
 * before somebody has seen it.
 * @param locale BCP 47, the business's: how its figures of dates stand
 */
export function enquiryIn(
  mail: Pick<IncomingMail, 'from' | 'text'>,
  { locale, today, services }: { locale: string; today: Day; services: readonly string[] },
): ProposedEnquiry {
  const message = ownWords(mail.text).own;
  const language = languageGuessed(message);
  const written = language && !locale.startsWith(language) ? language : locale;
  const days = datesIn(message, written, today).flatMap(({ day }) => (day >= today ? day : []));
  const name = nameOf(mail.from?.name ?? '') ?? signedBy(message);
  const phone = [...message.matchAll(PHONE)].map(([number]) => number.trim())[0];
  const said = message.toLowerCase();
  // The longest that is named: “tuning visit” before “tuning”.
  const service = [...services]
    .sort((a, b) => b.length - a.length)
    .find((one) => one && said.includes(one.toLowerCase()));
  return {
    ...(name === undefined ? {} : { name }),
    ...(mail.from?.address ? { email: mail.from.address } : {}),
    ...(phone === undefined ? {} : { phone }),
    ...(service === undefined ? {} : { service }),
    days: [...new Set(days)].slice(0, MOST_DAYS),
    message,
  };
}

/** A sender's name as people say it; undefined where it is none. */
function nameOf(given: string): string | undefined {
  const name = given.replace(/^["']+|["']+$/g, '').trim();
  if (!name || name.includes('@') || !/\p{L}{2}/u.test(name)) return undefined;
  if (kindOfName(name) !== 'person' || !name.includes(',')) return name;
  // “Hartigan, Oda”
  const { honorific, given: first, family, suffix } = partName(name).persons[0];
  return (
    fullName({
      ...(honorific ? { honorific } : {}),
      ...(first ? { given_name: first } : {}),
      ...(family ? { family_name: family } : {}),
      ...(suffix ? { suffix } : {}),
    }) ?? name
  );
}

/** Whoever stands below the closing of a letter. */
function signedBy(message: string): string | undefined {
  const lines = message.split('\n').map((line) => line.trim());
  const closing = lines.findLastIndex((line) => line.length < 60 && CLOSING.test(line));
  return closing < 0
    ? undefined
    : lines.slice(closing + 1, closing + 4).find((line) => line.length < 60 && NAME.test(line));
}
