import { bytes, key, maybe, moment, text, uuid, whole } from '../column';

/** A file's content, once for each business, by its SHA-256. */
export const FILE = {
  business_id: key(uuid()),
  sha256: key(text()),
  media_type: text(),
  size: whole(),
  content: bytes(),
};

/** A file of the business's own, which templates name. */
export const OWN_FILE = {
  business_id: key(uuid()),
  id: key(uuid()),
  name: text(),
  sha256: text(),
  size: whole(),
  brought_at: moment(),
};

/** A file kept with a client or a project, under a name. */
export const RECORD_FILE = {
  business_id: key(uuid()),
  id: key(uuid()),
  sha256: text(),
  name: text(),
  client_id: maybe(uuid()),
  project_id: maybe(uuid()),
  position: whole(),
};
