import type { BroughtKind } from '../../core/bringing/brought';
import { json, key, maybe, moment, oneOf, or, text, texts, uuid, whole } from '../column';

/** A row that stayed out, or a record that stayed in, and why. */
export interface LeftOver {
  name: string;
  message: string;
}

export const BRINGING = {
  business_id: key(uuid()),
  id: key(uuid()),
  kind: oneOf<BroughtKind>('client', 'booking', 'invoice', 'payment'),
  name: text(),
  member_id: uuid(),
  begun_at: moment(),
  state: oneOf('given', 'coming', 'in', 'going', 'out'),
  total: whole(),
  done: or(whole(), 0),
  heads: or(texts(), []),
  columns: or(json<(string | null)[]>(), []),
  left_over: or(json<LeftOver[]>(), []),
};

export const BROUGHT_ROWS = {
  business_id: key(uuid()),
  bringing_id: key(uuid()),
  position: key(whole()),
  rows: json<{ row: number; facts: object }[]>(),
};

export const BROUGHT_RECORD = {
  business_id: key(uuid()),
  bringing_id: key(uuid()),
  position: key(whole()),
  record_id: uuid(),
  version: whole(),
  before: maybe(json<Record<string, unknown>>()),
};

/** What a name in other programs' templates was said to mean. */
export const FOREIGN_NAME = {
  business_id: key(uuid()),
  name: key(text()),
  meant: text(),
  said_at: moment(),
};
