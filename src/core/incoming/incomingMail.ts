/** Somebody in a message's head. */
export interface Correspondent {
  /** empty where none is given */
  name: string;
  /** in lower case; empty where none could be read */
  address: string;
}

/** What came along with a message. Its name is fit to be a file's, its type told by its content where that shows. */
export interface IncomingFile {
  name: string;
  type: string;
  /** bytes */
  size: number;
  sha256: string;
}

/** A message as it came, read and not trusted: nothing in it has been believed yet. */
export interface IncomingMail {
  /** without brackets; absent: it has none */
  messageId?: string;
  /** milliseconds, as its sender says; absent: it says none that can be read */
  date?: number;
  /** absent: nobody that could be read */
  from?: Correspondent;
  to: readonly Correspondent[];
  copies: readonly Correspondent[];
  subject: string;
  /** Message-IDs without brackets, the last one first */
  inReplyTo: readonly string[];
  references: readonly string[];
  /** unfolded, each under its name in lower case, in their order */
  headers: ReadonlyMap<string, readonly string[]>;
  /** its plain words, or those of its HTML */
  text: string;
  html?: string;
  files: readonly IncomingFile[];
  /** of a delivery report: its fields as they stand (RFC 3464), and the head of the message that it is about */
  report?: { fields: string; about?: ReadonlyMap<string, readonly string[]> };
  /** what was too much to be taken, in words */
  notes: readonly string[];
}
