import { sizeInWords } from '../describe/sizeInWords';

/** What goes along with a letter has at most so many bytes together: written as mail it is a third more, and many mailboxes take no more. */
export const MOST_ATTACHED = 15_000_000;

/** The header in which it is told how large a file is, in bytes. */
export const FILE_SIZE = 'x-file-size';

/** So many files a business keeps of its own. */
export const MOST_FILES = 1000;

/** So many files one record has. */
export const MOST_OF_ONE = 200;

/** So many files are added to one letter. */
export const MOST_ADDED = 20;

/** A picture that is brought in has at most so many bytes; it is scaled before it is kept. */
export const LARGEST_PICTURE = 25_000_000;

/** A file with templates from elsewhere, or a zip of them, has at most so many bytes. */
export const LARGEST_TEMPLATES = 50_000_000;

/** What is said of a larger one. */
export function tooLargeTemplates(size: number): string {
  return `This has ${sizeInWords(size)}: a file of at most ${sizeInWords(LARGEST_TEMPLATES)} is read.`;
}

/** A photograph that is kept is at most so wide and so high, in pixels. */
export const PICTURE_SIDE = 2400;

/** What is said of a larger one. */
export function tooLargePicture(size: number): string {
  return `This picture has ${sizeInWords(size)}. At most ${sizeInWords(LARGEST_PICTURE)} can be brought in.`;
}

/** What is said of a file that no letter can have. */
export function tooLargeFile(size: number): string {
  return `It has ${sizeInWords(size)}. A letter has at most ${sizeInWords(MOST_ATTACHED)} with it.`;
}

/** What is said of how large files may be, before they are chosen. */
export function fileLimits(left: number): string {
  return `A file has at most ${sizeInWords(MOST_ATTACHED)}, a photograph ${sizeInWords(LARGEST_PICTURE)}; there is room for ${sizeInWords(Math.max(0, left))} more. Photographs are kept without the place where they were taken.`;
}
