import { isKeptPicture } from '../../core/fill/write/images';

/** Where the application serves a picture; undefined for what is not named by a SHA-256. */
export function pictureAddress(source: string): string | undefined {
  return isKeptPicture(source) ? `/api/pictures/${source}` : undefined;
}
