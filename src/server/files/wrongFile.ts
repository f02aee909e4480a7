import { endingOf } from '../../core/files/fileNames';
import type { FileType } from './typeOfFile';

/** What runs when it is opened: mail servers turn letters away that have such a file. */
const RUNS = new Set(
  'ade app bat chm cmd com cpl dll dmg elf exe hta iso jar js jse lnk macho msc msi pif ps1 reg scr sh vb vbe vbs wsf wsh'.split(
    ' ',
  ),
);

const PACKED = ['zip', 'docx', 'xlsx', 'pptx', 'odt', 'ods', 'odp'];

/** What files are called by their ending, and what they then are by their content. */
const KINDS: Readonly<Record<string, readonly [what: string, endings: readonly string[]]>> = {
  pdf: ['PDF', ['pdf']],
  png: ['PNG picture', ['png', 'apng']],
  jpg: ['JPEG picture', ['jpg']],
  jpeg: ['JPEG picture', ['jpg']],
  gif: ['GIF picture', ['gif']],
  webp: ['WebP picture', ['webp']],
  // What wrote it does not always say in its first entry what it is.
  ...Object.fromEntries(
    PACKED.map((ending) => [ending, [`${ending === 'zip' ? 'zip file' : `.${ending} document`}`, PACKED]]),
  ),
};

/** Why a file cannot be kept and go along with letters, in words; undefined when it can. @param type what it is by its content */
export function wrongFile(name: string, content: Uint8Array, type: FileType | undefined): string | undefined {
  if (!name) return 'It has no name.';
  if (content.length === 0) return 'There is nothing in it.';
  const ending = endingOf(name);
  // What is plain text may begin like a program.
  const inIt = content.subarray(0, 1024).includes(0) ? (type?.ending ?? '') : '';
  const runs = [ending, inIt].find((one) => RUNS.has(one));
  if (runs) return `Mail servers turn letters away that have a file ending in “.${runs}”.`;
  const kind = KINDS[ending];
  if (kind && !kind[1].includes(kindOf(content, type)))
    return `It is no ${kind[0]}, though its name says so.`;
  return undefined;
}

/** A PDF may have something before it (ISO 32000-2, annex I), and a zip file be one by its first bytes alone. */
function kindOf(content: Uint8Array, type: FileType | undefined): string {
  if (type) return type.ending;
  const begins = Buffer.from(content.subarray(0, 1024)).toString('latin1');
  if (begins.includes('%PDF-')) return 'pdf';
  return begins.startsWith('PK') ? 'zip' : '';
}
