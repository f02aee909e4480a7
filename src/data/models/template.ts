import { DataTypes } from 'sequelize';
import type { StartingKind } from '../../core/records/recordKind';
import type { TemplateDocument } from '../../core/document/templateDocument';
import type { LetterheadPart, TemplateHead } from '../../core/template/template';
import { json, key, maybe, moment, or, text, texts, uuid, whole, yesNo, type Column } from '../column';

export const TEMPLATE_GROUP = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  name: text(),
  initial: text(),
  tint: text(),
  position: whole(),
  version: or(whole(), 1),
  /** what it was called before, the last name last */
  former_names: or(texts(), []),
};

/** What the house puts around every letter, part by part. */
export const LETTERHEAD = {
  business_id: key(uuid()),
  part: key(text()) as Column<LetterheadPart>,
  document: json<TemplateDocument>(),
  document_schema: whole(),
  version: or(whole(), 1),
};

export const TEMPLATE = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  group_id: maybe(uuid()),
  owner_id: maybe(uuid()),
  name: text(),
  starts_from: text() as Column<StartingKind>,
  resting: or(yesNo(), false),
  position: whole(),
  current_version: whole(),
  deleted_at: maybe(moment()),
  /** how many letters were written from it, and when the last; they follow the letters */
  letters: or(whole(), 0),
  last_used_at: maybe(moment()),
};

export const TEMPLATE_VERSION = {
  business_id: key(uuid()),
  template_id: key(uuid()),
  version: key(whole()),
  head: json<TemplateHead>(),
  document: json<TemplateDocument>(),
  document_schema: whole(),
  member_id: maybe(uuid()),
  kept_at: or(moment(), DataTypes.NOW as never),
};

export const PASSAGE = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  group_id: maybe(uuid()),
  name: text(),
  document: json<TemplateDocument>(),
  document_schema: whole(),
  version: or(whole(), 1),
  former_names: or(texts(), []),
};

/** Characters that turn into longer text. */
export const SHORTHAND = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  member_id: maybe(uuid()),
  group_id: maybe(uuid()),
  name: text(),
  document: json<TemplateDocument>(),
  document_schema: whole(),
  version: or(whole(), 1),
};
