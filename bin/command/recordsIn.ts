import { byPlace, inWords } from '../../src/core/problems/problem';
import { readRecords } from '../../src/core/records/read/readRecords';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import { LONGEST_RECORDS, readText } from './readText';
import { Unusable } from './unusable';

/** Reads a file of records. @throws Unusable, UnreadableFile with each place where it is wrong */
export async function recordsIn(file: string): Promise<RecordsFile> {
  const read = readRecords(await readText(file, LONGEST_RECORDS), file);
  if (!read.value) throw new Unusable([...read.problems].sort(byPlace).map(inWords));
  return read.value;
}
