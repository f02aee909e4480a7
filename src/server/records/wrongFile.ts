import { endingOf } from '../../core/contract/files';
import { pictureType } from './pictureType';

/** What runs when it is opened: mail servers turn letters away that have such a file. */
const RUNS = new Set(
  'ade app bat chm cmd com cpl dll dmg exe hta iso jar js jse lnk msc msi pif ps1 reg scr sh vb vbe vbs wsf wsh'.split(
    ' ',
  ),
);

const isPacked = (content: Uint8Array) => content[0] === 0x50 && content[1] === 0x4b;
const isPicture = (type: string) => (content: Uint8Array) => pictureType(content) === type;

/** What files are called by their ending, and how they are told by their content. */
const KINDS: Readonly<Record<string, readonly [what: string, is: (content: Uint8Array) => boolean]>> = {
  pdf: ['PDF', (content) => Buffer.from(content.subarray(0, 1024)).includes('%PDF-')],
  png: ['PNG picture', isPicture('image/png')],
  jpg: ['JPEG picture', isPicture('image/jpeg')],
  jpeg: ['JPEG picture', isPicture('image/jpeg')],
  gif: ['GIF picture', isPicture('image/gif')],
  ...Object.fromEntries(
    ['docx', 'xlsx', 'pptx', 'odt', 'ods', 'odp'].map((ending) => [
      ending,
      [`.${ending} document`, isPacked],
    ]),
  ),
  zip: ['zip file', isPacked],
};

/** Why a file cannot go along with letters, in words; undefined when it can. */
export function wrongFile(name: string, content: Uint8Array): string | undefined {
  if (!name) return 'It has no name.';
  if (content.length === 0) return 'There is nothing in it.';
  const ending = endingOf(name);
  if (RUNS.has(ending)) return `Mail servers turn letters away that have a file ending in “.${ending}”.`;
  const kind = KINDS[ending];
  if (kind && !kind[1](content)) return `It is no ${kind[0]}, though its name says so.`;
  return undefined;
}
