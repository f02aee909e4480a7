import type { MetadataJson } from 'libphonenumber-js/core';
import type { Addressing } from '../addressing/addressingOf';
import type { RecordName } from '../describe/nameRecord';
import type { OwnFile } from './files';
import type { GroupHead } from './list';
import type { OthersTemplate } from './templates';
import type { CopyDocument } from '../document/copyDocument';
import type { ListedTemplate, TemplateWords } from '../fitting/listedTemplate';
import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordsFile } from '../records/recordsFile';
import type { Along } from '../writing/goesAlong';
import type { AnsweredMessage } from '../writing/reply';
import type { Around } from '../writing/letterheadAround';
import type { Letterhead, Passage, Shorthand, Signature } from '../template/template';

/** What the server has of a member's drafts from one record. */
export interface DraftsThere {
  kept: { id: string; version: number }[];
  /** when that was so, in milliseconds by the database's clock */
  asOf: number;
}

/** What a letter from one record is written from, beside the templates: answered by `/api/writing`. */
export interface WritingAnswer {
  records: RecordsFile;
  /** milliseconds: what "today" and "now" are read from */
  now: number;
  /** the key of the member who writes */
  member: string;
  /** whose drafts and templates are kept apart on a device */
  business: string;
  letters: PastLetter[];
  /** the member's drafts from here, with their versions: those that a device does not have are asked for */
  drafts: DraftsThere;
  /** within so many days the same letter to the same person is asked about */
  sameLetterDays: number;
  /** of an enquiry that asks for days: whether none of them is free */
  daysTaken?: boolean;
  /** the message that is to be answered, where it is asked for */
  answered?: AnsweredMessage;
  /** what was last said to them and by them, in words; absent: nothing was */
  lastSaid?: string;
  /** templates of which somebody is writing the next version; letters use the one before */
  reworded: { key: string; by: string; own: boolean }[];
  /** how the telephone numbers in the records are written in their countries */
  phones: MetadataJson;
  /** which list of templates belongs to it; a device that has this one is not given it again */
  edition: string;
  list?: TemplateList;
  /** with the list: the words of the template that the letter begins with */
  words?: TemplateWords[];
}

/** The templates that a member may choose among, in their order, with all that goes with them but their words. */
export interface TemplateList {
  templates: ListedTemplate[];
  passages: Passage[];
  signatures: Signature[];
  letterhead: Letterhead;
  /** those that a template has go along */
  files: OwnFile[];
  groups: ListedGroup[];
  /** those that are somebody else's own, and nobody else is offered */
  others: OthersTemplate[];
  /** what turns into longer text while whoever writes types; absent in what a device has kept from before */
  shorthand?: Shorthand[];
}

/** A group with the keys of its templates, in their order. */
export interface ListedGroup extends GroupHead {
  /** keys */
  templates: string[];
}

/** A letter as it is read before the page that it is written on has come. */
export interface FirstLetter {
  document: CopyDocument;
  /** what stands around it */
  around?: Around;
  addressing: Addressing;
  along: readonly Along[];
  recipients: RecordName[];
  /** whom one writes to, from what, and from which template */
  name: string;
  from: string;
  template: string;
  lastSaid?: string;
}

/** The cookie in which a device tells which list of templates it has. */
export const EDITION_COOKIE = 'fair-quill-templates';

/** How many templates' words are asked for at once: answered by `/api/templates/words`. */
export const MOST_WORDS = 40;
