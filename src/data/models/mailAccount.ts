import { bytes, date, json, key, large, maybe, moment, oneOf, or, text, uuid, whole } from '../column';

/** Where a provider signs people in, and as what it knows this application. */
interface ProviderOfAccount {
  issuer: string;
  authorization: string;
  token: string;
  client_id: string;
  scope: string;
}

const SERVER = {
  business_id: key(uuid()),
  id: key(uuid()),
  /** null: of everybody who has none of their own */
  member_id: maybe(uuid()),
  host: text(),
  port: whole(),
  security: oneOf('tls', 'starttls', 'none'),
  provider: maybe(json<ProviderOfAccount>()),
  version: or(whole(), 1),
};

export const SENDING_ACCOUNT = {
  ...SERVER,
  sign_in: oneOf('none', 'password', 'provider'),
  user_name: maybe(text()),
  /** a password, or what a provider gave, as JSON; sealed (server/sealing) */
  secret: maybe(bytes()),
  envelope_address: maybe(text()),
  most: maybe(whole()),
  per: maybe(oneOf('minute', 'hour', 'day')),
  /** when as many as may go at once may go again */
  full_at: or(moment(), new Date(0)),
};

export const MAILBOX = {
  ...SERVER,
  sign_in: oneOf('password', 'provider'),
  user_name: text(),
  /** the same */
  secret: bytes(),
  sent_folder: maybe(text()),
  since: date(),
  read_by: maybe(uuid()),
  read_until: or(moment(), new Date(0)),
  read_at: maybe(moment()),
  trouble_since: maybe(moment()),
  trouble: maybe(text()),
  left_out: or(whole(), 0),
};

/** How far a folder has been read. */
export const MAILBOX_FOLDER = {
  business_id: key(uuid()),
  mailbox_id: key(uuid()),
  path: key(text()),
  uid_validity: large(),
  next_uid: large(),
};

export const SIGNING_KEY = {
  business_id: key(uuid()),
  domain: key(text()),
  selector: text(),
  public_key: text(),
  /** sealed */
  private_key: bytes(),
  seen_at: maybe(moment()),
};
