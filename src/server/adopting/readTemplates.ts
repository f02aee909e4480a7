import { createHash } from 'node:crypto';
import type { ReadTemplate, ReadTemplates } from '../../core/contract/bringTemplates';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { printTemplate } from '../../core/template/text/printTemplate';
import { picturesThere } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import { bringPicture } from '../files/bringPicture';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import type { PictureKeeper } from './alongPictures';
import { readForeignFiles } from './foreignFiles';

/**
 * Reads a file with templates; the pictures that come along are kept.
 * @throws NoTemplate with the place, where it cannot be read
 */
export async function readTemplates(
  member: CurrentMember,
  name: string,
  bytes: Uint8Array,
): Promise<ReadTemplates> {
  const { templates, left } = await readForeignFiles([{ name, bytes }], keeperFor(member));
  return {
    left,
    templates: templates.flatMap((one): ReadTemplate[] => {
      if ('passage' in one) return [];
      const { file } = one;
      return 'own' in one
        ? [{ file, besides: one.besides, own: printTemplate(one.own) }]
        : [{ file, besides: one.foreign.besides, foreign: one.foreign }];
    }),
    passages: templates.flatMap((one) =>
      'passage' in one
        ? [{ file: one.file, name: one.passage.name, text: printMarkdown(one.passage.document) }]
        : [],
    ),
  };
}

function keeperFor(member: CurrentMember): PictureKeeper {
  /** by what they are as they come: a logo that stands in every letter is made ready once */
  const kept = new Map<string, ReturnType<PictureKeeper['keep']>>();
  const keep: PictureKeeper['keep'] = async (content) => {
    const answer = await bringPicture(member, content);
    return answer.result === 'done' ? { sha256: answer.sha256, width: answer.width } : undefined;
  };
  return {
    keep: (content) => {
      const sum = createHash('sha256').update(content).digest('hex');
      const known = kept.get(sum) ?? keep(content);
      kept.set(sum, known);
      return known;
    },
    here: async (sha256) => {
      const here = await picturesHere(member, sha256);
      // Their own width is known where they stand.
      return new Map(here.map((one) => [one, { sha256: one, width: Infinity }]));
    },
  };
}

const picturesHere = forMember(({ business_id }: CurrentMember, sha256: readonly string[]) =>
  picturesThere(connection(), business_id, sha256),
);
