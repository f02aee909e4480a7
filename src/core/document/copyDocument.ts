import type {
  Break,
  BulletList,
  CodeBlock,
  Heading,
  Image,
  ListItem,
  MarkOf,
  OrderedList,
  Paragraph,
  Quote,
  Rule,
  StyledBlock,
  Table,
  TableCell,
  TableRow,
  Text,
} from './document';

/**
 * A fair copy: a template filled for one client, with whatever its writer has changed. What a field said is words
 * under a `value` mark; what is missing is a `hole`. Every block that came from the template carries where from, so
 * that hand and template can be told apart when another record is taken.
 */
export interface CopyDocument {
  type: 'doc';
  attrs?: undefined;
  /** the subject first, then the blocks of the body */
  content: (Subject | CopyBlock)[];
}

/** The first line of a letter. */
export interface Subject {
  type: 'subject';
  attrs?: undefined;
  content: CopyWord[];
}

/** A block of a letter. */
export type CopyBlock =
  | Paragraph<CopyWord>
  | Heading<CopyWord>
  | Rule
  | Quote<CopyBlock>
  | BulletList<ListItem<CopyBlock>>
  | OrderedList<ListItem<CopyBlock>>
  | Table<TableRow<CopyWord>>
  | CodeBlock<CopyWord>
  | StyledBlock<CopyBlock>;

/** What stands in a line of a letter. */
export type CopyWord = Text<CopyMark> | Break<CopyMark> | Image<string, CopyMark> | Hole;

interface Hole {
  type: 'hole';
  /** id: that of its note; label: what is missing */
  attrs: { id: string; kind: HoleKind; label: string };
  marks?: CopyMark[];
}

/** What is missing: a fact, an answer, a field still to be put there, or a made-up part still to be replaced. */
export type HoleKind = 'field' | 'blank' | 'gap' | 'unfinished';

/** How words of a letter are set off, and what they are: a field's value, a signature. */
export type CopyMark =
  | MarkOf<string>
  /** id: that of its note */
  | { type: 'signature'; attrs: { id: string } }
  /** `said` is what the records say; other words under the mark are the writer's */
  | { type: 'value'; attrs: { id: string; said: string } };

/** A block, or a part of one, that holds words or other parts. */
export type CopyPart =
  CopyDocument | Subject | CopyBlock | ListItem<CopyBlock> | TableRow<CopyWord> | TableCell<CopyWord>;

/** Whatever stands in a letter. */
export type CopyNode = CopyPart | CopyWord;
