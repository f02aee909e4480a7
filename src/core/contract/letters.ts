import { array, boolean, number, object, string, type InferType } from 'yup';
import type { ChangedFact } from '../writing/factsOf';
import type { CopyDocument } from '../document/copyDocument';
import { MOST_PUT_IN, type Letter } from '../writing/letter';
import { ADDED_FILE } from './along';
import { MOST_ADDED } from '../files/limits';
import { PAPER_NAMES } from '../template/papers';
import { VERSION } from './numbers';
import type { Refusal } from './refusal';

/** What its writer decided for a letter. */
export const LETTER_CHOICES = object({
  template: string().required().max(100),
  project: string().max(100),
  booking: string().max(100),
  invoice: string().max(100),
  recipients: array(string().required().max(120)).max(20),
  answers: object().required(),
  stets: array(string().required().max(600)).max(100),
  putIn: array(
    object({
      template: string().required().max(200),
      version: number().required().integer().min(1),
      behind: string().max(300),
    }).noUnknown(),
  ).max(MOST_PUT_IN),
  leftOut: array(string().required().max(200)).max(50),
  added: array(ADDED_FILE).max(MOST_ADDED),
  papers: array(string().required().oneOf(PAPER_NAMES)).max(PAPER_NAMES.length),
  notHeld: boolean().oneOf([true]),
  goesAt: string().max(40),
  reply: object({
    to: string().required().uuid(),
    subject: string().defined().max(2000),
    quotes: boolean().oneOf([true]),
  })
    .noUnknown()
    .optional()
    .default(undefined),
  /** read by readSaidOtherwise */
  saidOtherwise: object().optional().default(undefined),
}).required();

/** A letter as it comes from its writer, beside its document (document/readDocument): given to `/api/letters`. */
export const LETTER_TO_SEND = object({
  /** made when writing began: the same letter sent again is none */
  id: string().uuid().required(),
  /** business and member: where somebody else has signed in on the device since, it is not sent in their name */
  writer: string().max(200),
  /** `invoice:LPC-1048` */
  from: string().required().max(200),
  templateVersion: VERSION,
  choices: LETTER_CHOICES,
  /** what its writer saw */
  facts: object({
    values: object().required(),
    parts: array(string().defined().max(200)).max(5000).required(),
    to: array(string().defined().max(300)).max(100).required(),
  }).required(),
});
export type LetterToSend = InferType<typeof LETTER_TO_SEND>;

/** What became of a letter that was given to be sent. */
export type SendAnswer =
  /** goesIn: milliseconds, as the server's clock is another */
  | ({ result: 'going'; goesIn: number } & WithNewClient)
  /** it had been sent before, from here or another tab; nothing new was done */
  | { result: 'already'; status: string; goesIn: number | null }
  /** it waits for the hour that its writer chose */
  | ({ result: 'later' } & WithNewClient)
  /** it went another way, and is noted with the client */
  | ({ result: 'noted' } & WithNewClient)
  | { result: 'changed'; changed: ChangedFact[] }
  | { result: 'stopped'; stops: string[] }
  | { result: 'gone'; what: 'record' | 'template' };

/** The key of the client that was made with a letter to an address in no record. */
interface WithNewClient {
  client?: string;
}

/** What has become of a letter: answered by `/api/letters/<id>`. */
export interface LetterStatus {
  status: string;
  reason: string | null;
  goesIn: number | null;
  /** why it has not gone though its time has come */
  waits?: string;
}

/** Answered by `/api/letters/<id>/take-back`: what the letter is now. */
export type TakeBackAnswer = { status: string; error?: undefined } | (Refusal & { status?: undefined });

/** What a message is that came in. */
export type CameAs = 'answer' | 'out of office' | 'automatic' | 'other';

/** By what a message is known to be about something. */
export type KnownBy = 'reply mark' | 'returned message' | 'in reply to' | 'references' | 'address';

/** A letter as it is shown; its moments are in the business's form, too. */
export interface ShownLetter {
  id: string;
  direction: 'out' | 'in';
  kind: 'letter' | 'text';
  status: string;
  reason: string | null;
  /** "tomorrow at 08:00": when one for later goes */
  goes: string | null;
  /** it is still tried, and has been for over an hour */
  triedLong: boolean;
  /** whether the words are kept that it was written with, to be written on */
  canBeWrittenOn: boolean;
  subject: string;
  text: string;
  /** words that stood below, or above: what it answers */
  quoted: string | null;
  /** of one that came in: what it is */
  came_as: CameAs | null;
  /** it came in and waits: nobody has answered it or dealt with it */
  waits: boolean;
  /** by what it is known to be about a letter, or by whom: its sender’s address */
  sign: KnownBy | null;
  /** what of it was too much to be taken, in words */
  came_notes: string[];
  hasHtml: boolean;
  /** "today at 09:30", "3 October" */
  day: string;
  /** ISO */
  at: string;
  /** whom it came from, as its reader saw it */
  from_name: string | null;
  from_address: string | null;
  /** names of whoever wrote it, and of whom it concerns */
  member: string | null;
  member_key: string | null;
  client: string | null;
  client_key: string | null;
  about: { kind: string; key: string; name: string } | null;
  template: string | null;
  template_key: string | null;
  version: number;
  /** who has dealt with what went wrong */
  settled_by: string | null;
  attachments: { name: string; position: number; size: number }[];
  recipients: { role: 'to' | 'copy' | 'blind copy'; name: string; address: string }[];
  events: { kind: string; at: string; day: string; detail: string | null }[];
}

/** A letter to be written on, taken out of what is to go: answered by `/api/letters/<id>/write-on`. */
export interface WriteOnAnswer {
  /** whose drafts are kept apart on a device, with the member's key */
  business: string;
  member: string;
  /** `invoice:LPC-1048` */
  from: string;
  letter: Letter;
  /** as it was filled when it was written */
  base: CopyDocument;
  /** whom it is to and from which template */
  name: string;
  template: string;
}

/** The letters that did not go as they should, the newest first, and those that wait for the mail server. */
export interface NeedsSomebody {
  letters: ShownLetter[];
  /** whether there are more */
  more: boolean;
  waiting: Waiting;
}

/** What came in and waits, the longest first. */
export interface AnswersWaiting {
  /** from whoever is in the records */
  known: ShownLetter[];
  /** from somebody unknown, each with what they seem to ask */
  unknown: { letter: ShownLetter; asks: Asks }[];
  /** whether there are more of either */
  more: boolean;
  /** the mailboxes from which nothing comes, in words */
  unread: string[];
}

/** What somebody unknown seems to ask, as it is said: days in the business's form. */
export interface Asks {
  name?: string;
  phone?: string;
  service?: string;
  days: string[];
}

/** Who is to see to a message that came in; null: nobody in particular. Given to `/api/letters/<id>/member`. */
export const WHO_SEES_TO_IT = object({
  /** their key */
  member: string().max(200).nullable().defined(),
  version: VERSION,
}).noUnknown();

/** A file of letters is at most so large, in bytes. */
export const LARGEST_LETTERS = 40_000_000;

/** What came of bringing letters in from a file: how many of each, and whether there are more than were taken. */
export interface LettersBrought {
  taken: number;
  /** they were here already */
  known: number;
  /** they told what became of letters */
  reports: number;
  unreadable: number;
  /** there was no room for them among the business’s files */
  noRoom: number;
  more: boolean;
}

/** Answered by `/api/letters/<id>/enquiry`: the key of the enquiry that was made of it. */
export type EnquiryMadeAnswer = { key: string; error?: undefined } | (Refusal & { key?: undefined });

/** How many have not gone though their time has come; `why` is absent while they go. */
export interface Waiting {
  letters: number;
  why?: string;
  /** it is the business’s own sending account that keeps them, or a member’s */
  ofAccount?: boolean;
}
