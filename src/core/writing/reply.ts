import type { CopyDocument } from '../document/copyDocument';
import type { Situation } from '../records/which/situation';

/** A message that came in, as a letter that answers it knows of it. */
export interface AnsweredMessage {
  /** its id */
  id: string;
  subject: string;
  from: { name: string; address: string };
  /** “On 22 November at 09:12, Oda Hartigan wrote:” */
  line: string;
  /** its writer's own words */
  words: string;
}

/** What a letter says of the message that it answers. */
export interface Replying {
  /** the message's id */
  to: string;
  /** the message's subject */
  subject: string;
  /** with its words below */
  quotes?: true | undefined;
}

/** So much of a message stands below an answer. */
const MOST_QUOTED = 20_000;
const ANSWER = /^\s*(?:re|aw|antw|sv|odp|rif|rv|res)\s*(?:\[\d+\]|\(\d+\))?\s*:\s*/iu;

/** “Re: Invoice LPC-1059”, however often it was answered before. */
export function replySubject(subject: string): string {
  let rest = subject.trim();
  while (ANSWER.test(rest)) rest = rest.replace(ANSWER, '');
  return `Re: ${rest}`.trim();
}

/** A letter under the subject of what it answers, so that mail programs show them together. */
export function underSubjectOf(document: CopyDocument, { subject }: Replying): CopyDocument {
  return {
    ...document,
    content: document.content.map((part) =>
      part.type === 'subject' ? { ...part, content: [{ type: 'text', text: replySubject(subject) }] } : part,
    ),
  };
}

/** What stands below an answer: who wrote when, and their words. */
export function quotedBelow({ line, words }: Pick<AnsweredMessage, 'line' | 'words'>): string {
  return `${line}\n\n${words.slice(0, MOST_QUOTED).trim()}`;
}

/** What a letter that answers a message begins with: under its subject, with its words below, to whoever wrote. */
export function answering(
  { id, subject, from }: AnsweredMessage,
  situation: Situation | undefined,
): { reply: Replying; recipients?: string[] } {
  const writer = situation && writerAmong(situation, from.address);
  return { reply: { to: id, subject, quotes: true }, ...(writer ? { recipients: [writer] } : {}) };
}

/** The reference of whoever wrote from an address, of those that a letter can go to; undefined: it is in no record of this client. */
function writerAmong({ client }: Situation, address: string): string | undefined {
  const wanted = address.toLowerCase();
  const from = client?.record;
  if (!from || !wanted) return undefined;
  if (from.email?.toLowerCase() === wanted) return `client:${from.key}`;
  const contact = from.contacts?.find(({ email }) => email?.toLowerCase() === wanted);
  return contact && `contact:${contact.key}`;
}
