/** What an archive says of itself: in `business.json`. */
export interface ArchiveHead {
  form: 'Fair Quill archive';
  version: 1;
  /** the last change of the tables that it was taken out under */
  schema: string;
  business: { id: string; name: string };
  /** ISO */
  taken_at: string;
  /** how many rows each table has, in the order in which they are read back */
  tables: { name: string; rows: number }[];
}

export const HEAD = 'business.json';
export const tableFile = (name: string) => `tables/${name}.jsonl`;
export const contentFile = (sha256: string) => `files/${sha256}`;

/** What is in it, for whoever opens it. */
export const READ_ME = `What is in here

clients.csv, people.csv, bookings.csv and so on: tables, for any spreadsheet.
clients.vcf: the clients and their people, for any address book.
bookings.ics: the bookings, for any calendar.
records.json: all records, as "npm run fill" reads them.
templates, passages, signatures: their words as text.
letters: every letter as a message, for any mail program.
files.csv: what the files are called, whose they are, and where each is in here.
tables, files, business.json: everything as it is kept, to be brought back with "npm run bring-back".

Nobody's password is in it.
`;
