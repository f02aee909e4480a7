import type { ListedKind } from '../records/recordKind';

/** A letter that can be begun: to whom, from which record, with which template. */
export interface PaletteLetter {
  /** "Oda Hartigan" */
  name: string;
  /** `invoice:LPC-1048` */
  from: string;
  /** absent: the likeliest is chosen where it is written */
  template?: { key: string; name: string };
  /** from which record, where that is not the client: "invoice LPC-1048" */
  note?: string;
}

/** A record that was found. */
export interface PaletteRecord {
  kind: ListedKind;
  key: string;
  name: string;
  note: string;
}

/** What was found by some words, the likeliest first: answered by `/api/palette?find=write oda reminder`. */
export interface PaletteAnswer {
  letters: PaletteLetter[];
  records: PaletteRecord[];
}
