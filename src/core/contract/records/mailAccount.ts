import { number, object, string } from 'yup';
import { line, webAddress, whole } from './parts';

/** Whose an account is: everybody's who has none, or one's own. */
export const WHOSE_ACCOUNT = ['business', 'own'] as const;
export type WhoseAccount = (typeof WHOSE_ACCOUNT)[number];

/** What an account is for: letters leave by one, a mailbox is read by another. */
export const ACCOUNT_KINDS = ['sending', 'mailbox'] as const;
export type KindOfAccount = (typeof ACCOUNT_KINDS)[number];

/** A server's name or address, as a provider gives it. */
const HOST = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]{0,61}[\p{L}\p{N}])?(?:\.|$))+$|^[\da-f:]{2,39}$/iu;
const HERE = /^(?:localhost|127(?:\.\d+){3}|::1)$/;

/** A server of mail and who signs in there, with the version that was seen (0: there was none). */
export const MAIL_ACCOUNT = object({
  version: number().integer().min(0).max(2_147_483_647).required(),
  host: line(253)
    .required('Write the name of the server, as your provider gives it.')
    .matches(HOST, 'This is no name of a server, as smtp.house.example.'),
  port: whole(1, 65_535).required('Write the port, as your provider gives it.'),
  security: string()
    .oneOf(['tls', 'starttls', 'none'])
    .required()
    .test(
      'protected',
      'Without TLS letters and the password could be read on their way: only on this machine.',
      (security, { parent }) => security !== 'none' || HERE.test(String((parent as { host?: string }).host)),
    ),
  /** nobody, somebody with a password, or somebody whom their provider vouches for */
  sign_in: string().oneOf(['none', 'password', 'provider']).required(),
  user_name: line(320).when('sign_in', ([way]: unknown[], name) =>
    way === 'none' ? name : name.required('Write who signs in: mostly the whole email address.'),
  ),
  /** empty: the one that is kept stays */
  secret: string()
    .transform((typed: unknown) => (typed === '' ? undefined : typed))
    .max(2_000, 'That is longer than any password.')
    .matches(/^[^\0\r\n]*$/, 'A password is one line.'),
  /** where the provider signs people in; it says itself where exactly */
  issuer: webAddress().when('sign_in', ([way]: unknown[], issuer) =>
    way === 'provider'
      ? issuer.required('Write the address at which the provider signs people in.')
      : issuer.strip(),
  ),
  client_id: line(500).when('sign_in', ([way]: unknown[], id) =>
    way === 'provider' ? id.required('Write as what the provider knows this application.') : id.strip(),
  ),
  scope: line(1_000),
});

/** What somebody comes back from their provider with: given to `/api/signed-in`. */
export const CAME_BACK = object({
  code: string().max(4_000),
  state: string().max(200).required(),
  error: string().max(200),
}).noUnknown();

/** What a form's controls show of where nothing stands; a password is not shown. */
export const SHOWN_ACCOUNT = { user_name: '', issuer: '', client_id: '', scope: '' };
