import type { CopyDocument } from '../../core/document/copyDocument';
import type { Note } from '../../core/fill/filled';
import type { LetterFacts } from '../../core/writing/factsOf';
import type { Choices, Letter } from '../../core/writing/letter';
import {
  date,
  given,
  givenText,
  json,
  key,
  maybe,
  moment,
  oneOf,
  or,
  text,
  texts,
  uuid,
  whole,
  yesNo,
} from '../column';

/** What can become of a letter that was written. */
const BECAME = [
  'held',
  'later',
  'going',
  'sent',
  'delivered',
  'opened',
  'bounced',
  'failed',
  'may have arrived',
  'taken back',
] as const;

export const MESSAGE = {
  business_id: key(uuid()),
  id: key(uuid()),
  message_id: text(),
  direction: oneOf('out', 'in'),
  kind: or(oneOf('letter', 'text'), 'letter'),
  status: oneOf('draft', 'received', ...BECAME),
  reason: maybe(text()),
  thread_id: uuid(),
  subject: or(text(), ''),
  text: or(text(), ''),
  /** of one that came in: what its writer had before them, apart from their own words */
  quoted: maybe(text()),
  /** of one that came in: what it is; a delivery report becomes none */
  came_as: maybe(oneOf('answer', 'out of office', 'automatic', 'other')),
  /** the message that it answers, theirs or ours */
  answers: maybe(uuid()),
  /** where in the text the signature begins that it ends with */
  signature_at: maybe(whole()),
  html: maybe(text()),
  /** BCP 47 */
  language: maybe(text()),
  client_id: maybe(uuid()),
  /** with the letter: its address was in no record */
  made_client: or(yesNo(), false),
  enquiry_id: maybe(uuid()),
  project_id: maybe(uuid()),
  booking_id: maybe(uuid()),
  invoice_id: maybe(uuid()),
  member_id: maybe(uuid()),
  template_id: maybe(uuid()),
  template_version: maybe(whole()),
  notes: or(json<Note[]>(), []),
  at: moment(),
  version: or(whole(), 1),
  from_name: maybe(text()),
  from_address: maybe(text()),
  reply_to: maybe(text()),
  choices: or(json<Partial<Choices>>(), {}),
  goes_at: maybe(moment()),
  tries: or(whole(), 0),
  claimed_at: maybe(moment()),
  claimed_by: maybe(uuid()),
  handed_over_at: maybe(moment()),
  settled_at: maybe(moment()),
  settled_by: maybe(uuid()),
  sequence: given(),
  /** made by the database of the others */
};

export const MESSAGE_RECIPIENT = {
  business_id: key(uuid()),
  message_id: key(uuid()),
  position: key(whole()),
  role: oneOf('to', 'copy', 'blind copy'),
  name: or(text(), ''),
  address: text(),
  lower_address: maybe(givenText()),
  contact_id: maybe(uuid()),
};

/** What a letter for later was written with, to be filled again at its hour. */
export const LETTER_FOR_LATER = {
  business_id: key(uuid()),
  message_id: key(uuid()),
  starting_kind: text(),
  starting_key: text(),
  template_version: whole(),
  document: json<CopyDocument>(),
  base: json<CopyDocument>(),
  facts: json<LetterFacts>(),
};

/** A day that a letter offers, kept free for its reader. */
export const HELD_DAY = {
  business_id: key(uuid()),
  message_id: key(uuid()),
  day: key(date()),
  until: date(),
  let_go: or(yesNo(), false),
};

/** A letter that somebody has begun. */
export const DRAFT = {
  business_id: key(uuid()),
  id: key(uuid()),
  member_id: uuid(),
  starting_kind: text(),
  starting_key: text(),
  letter: json<Letter>(),
  base: json<CopyDocument>(),
  name: text(),
  template: text(),
  version: or(whole(), 1),
  device: uuid(),
  kept_at: moment(),
};

/** A file that goes along with a letter. */
export const ATTACHMENT = {
  business_id: key(uuid()),
  message_id: key(uuid()),
  position: key(whole()),
  name: text(),
  sha256: text(),
};

export const DELIVERY_EVENT = {
  business_id: key(uuid()),
  message_id: key(uuid()),
  position: key(whole()),
  kind: oneOf(...BECAME, 'delayed'),
  at: moment(),
  detail: maybe(text()),
};

/** What came in, as it came, and what is known of it. */
export const INCOMING = {
  business_id: key(uuid()),
  id: key(uuid()),
  mark: text(),
  sha256: text(),
  came_at: moment(),
  sign: maybe(oneOf('reply mark', 'returned message', 'in reply to', 'references', 'address')),
  letter_id: maybe(uuid()),
  message_id: maybe(uuid()),
  notes: or(texts(), []),
};
