import { object, string, type InferType } from 'yup';
import { MAIL_ACCOUNT, SHOWN_ACCOUNT } from './mailAccount';
import { day, line } from './parts';

/** A mailbox at a provider that is read: given to `/api/mailboxes/<whose>`. */
export const MAILBOX = MAIL_ACCOUNT.concat(
  object({
    sign_in: string().oneOf(['password', 'provider']).required(),
    user_name: line(320).required('Write who signs in: mostly the whole email address.'),
    /** where lies what its owner has written; empty: where the server says */
    sent_folder: line(200),
    /** what came before it is left */
    since: day().required('Write from which day on mail is taken in.'),
  }),
).noUnknown();
export type MailboxFacts = InferType<typeof MAILBOX>;

/** Where there is none yet. @param today an ISO day */
export function noMailbox(today: string): MailboxFacts {
  return {
    version: 0,
    host: '',
    port: 993,
    security: 'tls',
    sign_in: 'password',
    user_name: '',
    since: today,
  };
}

/** As a form's controls show them. */
export function shownMailbox({ version: _, ...facts }: MailboxFacts) {
  return { ...SHOWN_ACCOUNT, sent_folder: '', ...facts, secret: '' };
}
