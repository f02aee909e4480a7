import type { TemplateDocument } from '../../core/document/templateDocument';
import type { Custom } from '../../core/records/recordsFile';
import { date, json, key, maybe, moment, oneOf, or, text, texts, uuid, whole, yesNo } from '../column';

export const MEMBER = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  given_name: maybe(text()),
  family_name: maybe(text()),
  full_name: text(),
  title: maybe(text()),
  phone: maybe(text()),
  mobile: maybe(text()),
  email: text(),
  picture: maybe(text()),
  role: or(oneOf('owner', 'member'), 'member'),
  /** whether one who is no owner may change what everyone writes with */
  changes_shared: or(yesNo(), true),
  password_hash: text(),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
};

export const SESSION = {
  business_id: key(uuid()),
  id: key(uuid()),
  member_id: uuid(),
  token_hash: text(),
  created_at: moment(),
  seen_at: moment(),
  expires_at: moment(),
  revoked_at: maybe(moment()),
};

export const SIGNATURE = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  member_id: maybe(uuid()),
  name: text(),
  document: json<TemplateDocument>(),
  document_schema: whole(),
  is_default: or(yesNo(), false),
  version: or(whole(), 1),
  former_names: or(texts(), []),
};

/** Who wants a letter each morning with what waits. */
export const MORNING_LETTER = {
  business_id: key(uuid()),
  member_id: key(uuid()),
  hour: whole(),
  last_on: maybe(date()),
  again_at: or(moment(), new Date(0)),
};
