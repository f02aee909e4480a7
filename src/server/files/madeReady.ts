import { createHash } from 'node:crypto';
import { endingOf, fileName } from '../../core/files/fileNames';
import { MOST_ATTACHED, tooLargeFile } from '../../core/files/limits';
import type { ReadyFile } from '../../data/repositories/files/files';
import { scaleInTurn } from './scaleInTurn';
import { NoPicture } from './scalePicture';
import { PICTURE_SIDE } from '../../core/files/limits';
import { typeOfFile } from './typeOfFile';
import { wrongFile } from './wrongFile';

/** A photograph of a piece of work may be looked into; one of these is well under what a letter can have. */
const KEPT = { width: PICTURE_SIDE, height: PICTURE_SIDE };
const PREVIEW = { width: 320, height: 320 };

/** Pictures that no camera takes and no letter shows: plans and drawings, kept as they are. */
const DRAWN: ReadonlySet<string> = new Set(['dwg', 'psd', 'svg', 'bmp', 'djvu', 'icns', 'ico']);

/** A file as it can be kept: what it is called, its content, and what was done to it, in words. */
export interface MadeReady extends ReadyFile {
  name: string;
  note?: string;
}

/**
 * Makes a file ready to be kept: it is told by its content, a picture is turned, scaled and rid of what its camera wrote into it, and
 * has a small one beside it.
 * @returns what is wrong with it, in words, where it cannot be kept
 */
export async function madeReady(given: string, content: Buffer): Promise<MadeReady | { error: string }> {
  const type = await typeOfFile(content);
  const name = fileName(given);
  const error = wrongFile(name, content, type);
  if (error) return { error };
  const isImage = type?.media_type.startsWith('image/') ?? false;
  if (!type || !isImage || DRAWN.has(type.ending))
    return content.length > MOST_ATTACHED
      ? { error: tooLargeFile(content.length) }
      : // As a picture it would be shown.
        { name, file: fileOf(content, isImage ? undefined : type?.media_type) };
  try {
    const picture = await scaleInTurn(content, { within: KEPT });
    const preview = await scaleInTurn(picture.content, { within: PREVIEW });
    return {
      name: pictureName(name, picture.type),
      file: fileOf(picture.content, picture.type),
      preview: fileOf(preview.content, preview.type),
      ...(picture.note ? { note: picture.note } : {}),
    };
  } catch (failure) {
    if (failure instanceof NoPicture) return { error: failure.message };
    throw failure;
  }
}

function fileOf(content: Buffer, media_type = 'application/octet-stream'): ReadyFile['file'] {
  return { sha256: createHash('sha256').update(content).digest('hex'), media_type, content };
}

/** A picture's name says what it has become. */
function pictureName(name: string, type: 'image/png' | 'image/jpeg'): string {
  const ending = endingOf(name);
  const wanted = type === 'image/png' ? 'png' : 'jpg';
  if (ending === wanted || (ending === 'jpeg' && wanted === 'jpg')) return name;
  return fileName(`${ending ? name.slice(0, -ending.length - 1) : name}.${wanted}`);
}
