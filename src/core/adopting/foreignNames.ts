import type { Step } from '../document/step';

/** What a foreign name means here. */
export interface NamedField {
  path: string;
  steps: Step[];
  /** whether it hardly means anything else; else it is only proposed */
  sure: boolean;
}

const CLIENT =
  '(?:client|customer|contact|recipient|guest|lead|addressee|patient|kunde|kunden|kundin|klient|empfanger|destinataire)';
const OUR = '(?:company|business|studio|firm|shop|brand|our|organisation|organization|firma|entreprise)';
const SENDER =
  '(?:your|my|sender|user|staff|member|owner|agent|employee|technician|consultant|from|signer|absender|mein|ihr)';
const BOOKING =
  '(?:booking|visit|appointment|appt|session|event|shoot|lesson|class|consultation|meeting|termin|besuch|rdv|rendez vous)';
const PROJECT = '(?:project|job|order|projekt|auftrag|projet)';
const INVOICE = '(?:invoice|bill|inv|rechnung|rechnungs|facture)';
const NUMBER = '(?:number|no|nr|num|id|ref|reference|nummer)';

const date = (step: 'long date' | 'time' | 'weekday'): Step[] => [{ step }];

/** Rows are tried in their order: the words of a name, without case, marks and accents. */
const ROWS: readonly (readonly [names: string, path: string, steps?: Step[], doubtful?: true])[] = [
  [
    `(?:${CLIENT} )?(?:first|given|fore|christian)(?: ?name)?s?|(?:${CLIENT} )?(?:first|f|fore)name|vorname|prenom|(?:${CLIENT} )?(?:nickname|preferred name)|greeting(?: name)?`,
    'recipient.greeting_name',
  ],
  [
    `(?:${CLIENT} )?(?:last|family|sur)(?: ?name)?|(?:${CLIENT} )?(?:lname|lastname)|nachname|familienname|nom de famille`,
    'recipient.family_name',
  ],
  [`(?:${CLIENT} )?(?:salutation|honorific|prefix|anrede|civilite)`, 'recipient.honorific'],
  [
    `(?:${CLIENT} )?full ?name|${CLIENT} name|${CLIENT}|fullname|kundenname|nom complet`,
    'recipient.full_name',
  ],
  [`${CLIENT} e ?mail(?: address)?`, 'client.email'],
  [`${CLIENT} (?:mobile|cell)(?: phone)?(?: number)?`, 'client.mobile'],
  [`${CLIENT} (?:tele)?phone(?: number)?`, 'client.phone'],
  [`${CLIENT} (?:postal |home )?address|kundenadresse`, 'client.address'],
  [`${CLIENT} street`, 'client.address.street'],
  [`(?:${CLIENT} )?(?:city|town|ort|stadt|ville)`, 'client.address.town'],
  [`(?:${CLIENT} )?(?:post ?code|zip(?: ?code)?|postal code|plz)`, 'client.address.postcode'],
  [`(?:e ?mail |my |your )?signature|signatur|unterschrift`, 'signature'],
  [`${SENDER} first ?name`, 'sender.given_name'],
  [`${SENDER} (?:full ?)?name|sender|absender`, 'sender.full_name'],
  [`(?:${SENDER} )?(?:job title|role|position)|${SENDER} title`, 'sender.title'],
  [`${SENDER} (?:mobile|cell)(?: phone)?(?: number)?`, 'sender.mobile'],
  [`${SENDER} (?:tele)?phone(?: number)?`, 'sender.phone'],
  [`${SENDER} e ?mail(?: address)?`, 'sender.email'],
  [`${OUR}(?: name)|company|business|firma|firmenname|${SENDER} ${OUR}(?: name)?`, 'business.name'],
  [`${OUR} (?:tele)?phone(?: number)?`, 'business.phone'],
  [`${OUR} e ?mail(?: address)?`, 'business.email'],
  [`${OUR} address`, 'business.address'],
  [`(?:${OUR} )?(?:website|web ?site|homepage)|${OUR} (?:site|url)`, 'business.website'],
  [`(?:our )?(?:bank|payment) (?:details|account)|bankverbindung|iban`, 'business.payment_details'],
  [`${BOOKING} (?:date|day)|${BOOKING}s?datum|date of ${BOOKING}`, 'booking.starts_at'],
  [
    `(?:${BOOKING} )?(?:start|begin)(?:ning)? ?time|${BOOKING} (?:time|start|hour)|time of ${BOOKING}|uhrzeit`,
    'booking.starts_at',
    date('time'),
  ],
  [`(?:${BOOKING} )?(?:end|finish) ?time|${BOOKING} end`, 'booking.end_time'],
  [`(?:${BOOKING} )?(?:week ?day|day of (?:the )?week|wochentag)`, 'booking.starts_at', date('weekday')],
  [`(?:${BOOKING} )?(?:location|venue)|${BOOKING} (?:place|address)`, 'booking.location'],
  [
    `(?:${BOOKING} )?service(?: name| type)?|${BOOKING} (?:type|name)|leistung|dienstleistung`,
    'booking.service',
  ],
  [`${BOOKING} (?:price|cost|fee)`, 'booking.price'],
  [`(?:${BOOKING} )?duration|${BOOKING} length|dauer`, 'booking.duration'],
  [`${INVOICE} ?${NUMBER}|${INVOICE}|rechnungsnummer|numero de facture`, 'invoice.number'],
  [
    `(?:${INVOICE} )?(?:balance|amount|total|sum) (?:due|outstanding|owing|owed|open|left|remaining)|(?:${INVOICE} )?balance|outstanding(?: balance| amount)?|offener betrag|restbetrag|solde`,
    'invoice.balance',
  ],
  [`(?:days|tage) (?:over ?due|past due|late|uberfallig)`, 'invoice.days_overdue'],
  [
    `(?:${INVOICE} |payment )?due(?: ?date| on| by)?|pay(?:ment)? by|faelligkeit(?:sdatum)?|falligkeit(?:sdatum)?|fallig am|echeance`,
    'invoice.due_on',
  ],
  [
    `${INVOICE} (?:total|amount|sum)|(?:grand )?total(?: amount)?|gesamtbetrag|rechnungsbetrag|montant total`,
    'invoice.total',
  ],
  [`${INVOICE} (?:date|issued(?: on)?)|rechnungsdatum`, 'invoice.issued_on'],
  [`(?:${INVOICE} |payment |pay )(?:link|url)|pay online`, 'invoice.pay_link'],
  [`amount paid|paid(?: amount)?`, 'invoice.paid'],
  [`${PROJECT} (?:name|title)|${PROJECT}|projektname`, 'project.title'],
  [`${PROJECT} (?:value|price|total|budget|cost)`, 'project.value'],
  [`${PROJECT} (?:start|begins?)(?: date)?`, 'project.starts_on'],
  [`${PROJECT} (?:end|finish|deadline|completion)(?: date)?`, 'project.ends_on'],
  [`today(?:s)?(?: date)?|current date|letter date|heute|heutiges datum`, 'today'],
  // What may be of one record or another.
  ['name|names', 'recipient.full_name', [], true],
  ['date|day|datum|tag|jour', 'booking.starts_at', date('long date'), true],
  ['time|zeit|heure|hour', 'booking.starts_at', date('time'), true],
  ['amount|sum|betrag|montant', 'invoice.balance', [], true],
  ['price|cost|fee|preis|prix', 'booking.price', [], true],
  ['e ?mail(?: address)?', 'business.email', [], true],
  ['(?:tele)?phone(?: number)?|telefon', 'business.phone', [], true],
  ['mobile|cell(?: phone)?|handy', 'sender.mobile', [], true],
  ['address|adresse', 'booking.location', [], true],
  ['number|nummer', 'invoice.number', [], true],
  ['title|titel|titre', 'project.title', [], true],
  ['link|url', 'invoice.pay_link', [], true],
];

const TABLE = ROWS.map(([names, path, steps = [], doubtful]) => ({
  names: new RegExp(`^(?:${names})$`, 'u'),
  field: { path, steps, sure: doubtful !== true } satisfies NamedField,
}));

/** What a name means by the words that many use. @param words as nameWords gives them */
export function fieldByWords(words: string): NamedField | undefined {
  return TABLE.find(({ names }) => names.test(words))?.field;
}
