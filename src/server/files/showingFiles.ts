import type { ShownFile } from '../../core/contract/files';
import { dayLately } from '../../core/describe/dayLately';
import type { RecordBook } from '../../core/records/recordBook';
import type { KeptRecordFile } from '../../data/repositories/files/recordFiles';

/** Says of files what a list has of them. */
export function showingFiles(book: RecordBook): (file: KeptRecordFile) => ShownFile {
  const day = dayLately(book);
  return ({ id, name, sha256, size, preview, brought_at }) => ({
    id,
    name,
    size,
    day: day(brought_at.getTime()),
    ...(preview === null ? {} : { picture: sha256, preview }),
  });
}
