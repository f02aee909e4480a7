import { fileTypeFromBuffer } from 'file-type';

/** What a file is by its content, never by its name. */
export interface FileType {
  /** what such a file's name usually ends in */
  ending: string;
  media_type: string;
}

/** Undefined: nothing that is known, as plain text is. */
export async function typeOfFile(content: Uint8Array): Promise<FileType | undefined> {
  // A file that only begins like one of its kind ends before it should.
  const found = await fileTypeFromBuffer(content).catch(() => undefined);
  return found && { ending: found.ext, media_type: found.mime };
}
