import { number, object, string, type InferType } from 'yup';
import type { CopyDocument } from '../document/copyDocument';
import type { Letter } from '../writing/letter';
import { LETTER_CHOICES } from './letters';
import type { Refusal } from './refusal';

/** A letter that has been begun, beside its documents (document/readDocument): given to `/api/drafts/<id>`. */
export const DRAFT_TO_KEEP = object({
  /** `invoice:LPC-1048` */
  from: string().required().max(200),
  choices: LETTER_CHOICES,
  /** whom it is to and from which template */
  name: string().required().max(500),
  template: string().required().max(500),
  /** the version that was seen last; 0: none was kept before */
  seen: number().required().integer().min(0),
  /** tells the devices apart */
  device: string().uuid().required(),
});
export type DraftToKeep = InferType<typeof DRAFT_TO_KEEP> & { document: CopyDocument; base: CopyDocument };

/** What came of keeping it: its version now, and when that was kept, in milliseconds by the database's clock. Overtaken: another device has kept other words since, as this version. */
export type DraftAnswer =
  { version: number; at: number; overtaken?: true } | (Refusal & { version?: undefined });

/** A draft as another device takes it up: answered by `/api/drafts/<id>`. */
export interface KeptDraft extends ListedDraft {
  letter: Letter;
  base: CopyDocument;
}

/** A draft in a list: answered by `/api/drafts`. */
export interface ListedDraft {
  id: string;
  from: string;
  name: string;
  template: string;
  /** the template's key */
  template_key: string;
  version: number;
  /** milliseconds */
  at: number;
}
