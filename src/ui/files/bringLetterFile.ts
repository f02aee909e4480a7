import type { AddedFile, AlongAnswer } from '../../core/contract/along';
import { bringTo } from './bringTo';
import { scaledHere } from './scaledHere';
import type { Work } from './useBringing';

/** What brings a file in that goes along with one letter. @param onBrought told of it when it is kept */
export function bringLetterFile(file: File, onBrought: (added: AddedFile) => void): Work {
  const asked = new URLSearchParams({ name: file.name || 'picture.jpg' });
  return bringTo<AlongAnswer>(`/api/along?${asked}`, file, (answer) => onBrought(answer.file), scaledHere);
}
