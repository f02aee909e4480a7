import type { IncomingMail } from './incomingMail';
import { letterSigns } from './letterSign';
import type { ReportedDelivery } from './reportedDelivery';
import { readReport } from './deliveryReport';

/** What a message is. An automatic one that is neither a report nor out of office is another. */
export type KindOfMail =
  | { is: 'answer'; by: 'sign' | 'subject' }
  | { is: 'delivery report'; deliveries: ReportedDelivery[] }
  | { is: 'out of office' }
  | { is: 'other'; automatic: boolean };

/** How subjects of answers begin, in the languages of many mail programs. */
const ANSWERS =
  /^\s*(?:re|aw|antw|antwort|sv|vs|odp|ynt|rif|r|ref|res|rv|tr|bls|atb|vast|回复|回覆|答复|返信)\s*(?:\[\d+\]|\(\d+\))?\s*[:：]/iu;

/**
 * How programs begin the subjects of automatic answers. Words that people write too (“on holiday”) are none: an answer that is taken
 * for an automatic one is overlooked.
 */
const AWAY =
  /^\s*(?:automatic reply|auto[- ]?reply|auto[- ]?response|autoantwort|out of (?:the )?office(?: auto[- ]?reply| reply)?|automatische antwort|abwesenheits(?:notiz|nachricht|meldung|assistent)|réponse automatique|absence du bureau|respuesta automática|fuera de (?:la )?oficina|risposta automatica|fuori sede|automatisch(?:e)? antwoord|afwezigheidsbericht|autosvar|automatiskt? svar|automaattinen vastaus|automatyczna odpowiedź|resposta automática|fora do escritório)\s*(?:[:：–-]|$)/iu;

/**
 * What a message is, told by its head first (RFC 3834, RFC 3464 and the headers that programs set that do not keep to
 * them), then by its subject.
 */
export function kindOfMail(mail: IncomingMail): KindOfMail {
  const deliveries = readReport(mail);
  if (deliveries) return { is: 'delivery report', deliveries };
  const { subject } = mail;
  if (isAway(mail)) return { is: 'out of office' };
  if (isAutomatic(mail)) return { is: 'other', automatic: true };
  if (letterSigns(mail).length) return { is: 'answer', by: 'sign' };
  if (ANSWERS.test(subject)) return { is: 'answer', by: 'subject' };
  return { is: 'other', automatic: false };
}

/** An answer that nobody wrote to this letter. */
function isAway({ headers, subject }: IncomingMail): boolean {
  const submitted = first(headers, 'auto-submitted');
  if (submitted.startsWith('auto-replied')) return true;
  if (/^auto[-_ ]?reply|^auto-response/.test(first(headers, 'precedence'))) return true;
  if (
    ['x-autoreply', 'x-autorespond', 'x-autoreply-from', 'x-mail-autoreply'].some((name) => headers.has(name))
  )
    return first(headers, 'x-autoreply') !== 'no';
  return AWAY.test(subject);
}

/** Written by a program for whoever wants to know, or sent to many at once. */
function isAutomatic({ headers }: IncomingMail): boolean {
  const submitted = first(headers, 'auto-submitted');
  return (
    (submitted !== '' && submitted !== 'no') ||
    /^(?:bulk|junk|list)$/.test(first(headers, 'precedence')) ||
    headers.has('list-id') ||
    headers.has('list-unsubscribe')
  );
}

function first(headers: IncomingMail['headers'], name: string): string {
  return headers.get(name)?.[0]?.trim().toLowerCase() ?? '';
}
