/** A row of a list: what it is called, what tells it from others, and what needs somebody. */
export interface ListEntry {
  key: string;
  name: string;
  note: string;
  /** the heading it stands under: a day */
  day?: string;
  /** said in words beside the note: "24 days overdue" */
  state?: { words: string; kind: 'needs you' | 'waiting' | 'in order' };
}

/** A piece of a list, or what was found in it: answered by `/api/lists/…`. */
export interface ListPage {
  entries: ListEntry[];
  /** asks for what follows; absent at the end */
  next?: string;
  /** more was found than is given */
  more?: true;
}

/** A group as it stands above what is in it. */
export interface GroupHead {
  /** "" of what has no group */
  key: string;
  version: number;
  name: string;
  initial: string;
  tint: string;
}

/** Stands for a group above what has none. */
export const WITHOUT_GROUP: GroupHead = {
  key: '',
  version: 0,
  name: 'Without a group',
  initial: '–',
  tint: 'slate',
};

/** A group with its templates, as the index of the templates lists them. */
export interface GroupedTemplates extends GroupHead {
  templates: ListedEntry[];
}

/** A template in the index. */
export interface ListedEntry {
  key: string;
  name: string;
  /** in words: "visit" */
  startsFrom: string;
  /** offered to nobody */
  resting?: true;
  /** nobody else's */
  mine?: true;
  /** parts that the owner has yet to replace */
  unfinished?: number;
  /** the passages in it, by their keys */
  passages?: string[];
  /** letters that were written from it, and when the last was: a day, in words and as it is sorted by */
  letters: number;
  lastUsed?: { words: string; at: string };
}
