import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { enquiryIn, type ProposedEnquiry } from '../../core/incoming/enquiryIn';
import type { Correspondent, IncomingFile, IncomingMail } from '../../core/incoming/incomingMail';
import type { ReportedDelivery } from '../../core/incoming/reportedDelivery';
import { kindOfMail } from '../../core/incoming/kindOfMail';
import { letterSigns, type LetterSign } from '../../core/incoming/letterSign';
import { ownWords } from '../../core/incoming/ownWords';
import { refusalInWords } from '../../core/incoming/refusalInWords';
import { readMail } from '../../post/reading/readMail';

/** What a message is, for whoever asks at the command line. */
export interface ToldMail {
  is: 'answer' | 'delivery report' | 'out of office' | 'other';
  /** of another one: whether a program wrote it */
  automatic?: boolean;
  from: Correspondent | null;
  to: readonly Correspondent[];
  subject: string;
  /** ISO 8601; null: it does not say */
  date: string | null;
  messageId: string | null;
  /** the letter that it is about, by the surest sign; null: by its sender's address at most */
  about: LetterSign | null;
  /** of a delivery report: what is said of each address, with the reason in words */
  deliveries?: (ReportedDelivery & { reason: string })[];
  /** of one that a person wrote to begin with: what they seem to ask, days as ISO */
  asks?: Omit<ProposedEnquiry, 'days' | 'message'> & { days: string[] };
  words: string;
  quoted: string;
  files: readonly IncomingFile[];
  notes: readonly string[];
}

/**
 * Says what a message is: from whom, about which letter and by which sign, its words with what it quotes apart.
 * @param locale BCP 47: how figures of dates stand @param now milliseconds: when it came, where it does not say itself
 */
export async function tellMail(
  raw: Buffer,
  { locale, now }: { locale: string; now: number },
): Promise<ToldMail> {
  const { mail } = await readMail(raw);
  const kind = kindOfMail(mail);
  const { own, quoted } = ownWords(mail.text);
  return {
    is: kind.is,
    ...(kind.is === 'other' ? { automatic: kind.automatic } : {}),
    from: mail.from ?? null,
    to: mail.to,
    subject: mail.subject,
    date: mail.date === undefined ? null : new Date(mail.date).toISOString(),
    messageId: mail.messageId ?? null,
    about: letterSigns(mail)[0] ?? null,
    ...(kind.is === 'delivery report'
      ? { deliveries: kind.deliveries.map((one) => ({ ...one, reason: reasonOf(one) })) }
      : {}),
    ...(kind.is === 'other' && !kind.automatic ? { asks: asks(mail, locale, now) } : {}),
    words: own,
    quoted,
    files: mail.files,
    notes: mail.notes,
  };
}

function asks(mail: IncomingMail, locale: string, now: number) {
  const today = dayAt(mail.date ?? now, 'UTC');
  const { days, message: _, ...who } = enquiryIn(mail, { locale, today, services: [] });
  return { ...who, days: days.map(isoOf) };
}

function reasonOf(delivery: ReportedDelivery): string {
  return delivery.state === 'delivered' ? 'It has arrived.' : refusalInWords(delivery);
}
