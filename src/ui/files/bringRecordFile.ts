import type { FileOwner, RecordFileAnswer } from '../../core/contract/recordFiles';
import { bringTo } from './bringTo';
import type { Work } from './useBringing';

/** What brings a file in that becomes a record's. @param onBrought told of it when it is kept */
export function bringRecordFile(
  { kind, key, client = '' }: FileOwner,
  file: File,
  onBrought: (answer: Extract<RecordFileAnswer, { result: 'done' }>) => void,
): Work {
  const asked = new URLSearchParams({ of: kind, key, client, name: file.name || 'picture.jpg' });
  return bringTo<RecordFileAnswer>(`/api/record-files?${asked}`, file, onBrought);
}
