import { bytes, key, maybe, moment, money, or, text, texts, uuid, whole, yesNo } from '../column';

/** A file's content, once for each business, by its SHA-256. */
export const FILE = {
  business_id: key(uuid()),
  sha256: key(text()),
  media_type: text(),
  size: whole(),
  content: bytes(),
  in_words: or(yesNo(), true),
};

/** How much of its room a business has used, in bytes. */
export const FILE_ROOM = {
  business_id: key(uuid()),
  used: money(),
};

/** A file of the business's own, which templates name. */
export const OWN_FILE = {
  business_id: key(uuid()),
  id: key(uuid()),
  name: text(),
  sha256: text(),
  size: whole(),
  brought_at: moment(),
  former_names: or(texts(), []),
  preview: maybe(text()),
  removed_at: maybe(moment()),
};

/** A file kept with a client, or with a project, a booking or an item of theirs, under a name. */
export const RECORD_FILE = {
  business_id: key(uuid()),
  id: key(uuid()),
  sha256: text(),
  name: text(),
  client_id: uuid(),
  project_id: maybe(uuid()),
  booking_id: maybe(uuid()),
  item_id: maybe(uuid()),
  size: whole(),
  preview: maybe(text()),
  brought_at: moment(),
  removed_at: maybe(moment()),
};

/** A file brought in for one letter, until that is sent. */
export const LETTER_FILE = {
  business_id: key(uuid()),
  id: key(uuid()),
  member_id: uuid(),
  name: text(),
  sha256: text(),
  size: whole(),
  preview: maybe(text()),
  brought_at: moment(),
};
