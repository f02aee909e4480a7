import { MOST_ATTACHED, tooLargeFile } from '../../core/files/limits';
import { LARGEST_PICTURE, tooLargePicture } from '../../core/files/limits';

/** Why a file is not even sent, in words. What it truly is the server finds out; before that its device's word is taken. */
export function tooLargeToBring({ type, size }: File): string | undefined {
  if (!type.startsWith('image/')) return size > MOST_ATTACHED ? tooLargeFile(size) : undefined;
  return size > LARGEST_PICTURE ? tooLargePicture(size) : undefined;
}
