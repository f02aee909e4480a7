import { QueryTypes } from 'sequelize';
import type { KeptDraft, ListedDraft } from '../../core/contract/drafts';
import type { DraftsThere } from '../../core/contract/writing';
import type { CopyDocument } from '../../core/document/copyDocument';
import type { StartingPoint } from '../../core/records/which/situation';
import type { Letter } from '../../core/writing/letter';
import type { Database } from '../database';

/** Whose drafts they are. */
interface OfMember {
  business_id: string;
  member_id: string;
}

/** A letter that has been begun, as a device has it. */
export interface BegunLetter {
  id: string;
  start: StartingPoint;
  letter: Letter;
  /** as it was filled then */
  base: CopyDocument;
  name: string;
  template: string;
}

/** One whose letter was given to be sent in the same moment is none. */
const STILL_OPEN = `not exists (select from message where message.business_id = draft.business_id and message.id = draft.id)`;

/** Post lists so many. */
const MOST = 100;

const KEPT_AT = '(extract(epoch from kept_at) * 1000)::bigint as at';

const LISTED = `id, starting_kind || ':' || starting_key as "from", name, template, letter #>> '{choices,template}' as template_key,
  version, ${KEPT_AT}`;

const ANEW = `letter = $letter, base = $base, name = $name, template = $template, device = $device, kept_at = now(),
  version = draft.version + 1`;

/**
 * Keeps a draft where it still is as it was seen, or as the same device left it: that it did may not have reached it. The first version
 * where there was none.
 * @returns its version now; with `overtaken` that of the other words that stand there; undefined: it is not there any more
 */
export async function keepDraft(
  { sequelize }: Database,
  { business_id, member_id }: OfMember,
  draft: BegunLetter,
  { seen, device }: { seen: number; device: string },
): Promise<{ version: number; at: number; overtaken?: true } | undefined> {
  const { id, start, letter, base, name, template } = draft;
  const [kept] = await sequelize.query<{ version: number; at: number }>(
    seen === 0
      ? `insert into draft (business_id, id, member_id, starting_kind, starting_key, letter, base, name, template, device, kept_at)
         values ($business_id, $id, $member_id, $kind, $key, $letter, $base, $name, $template, $device, now())
         on conflict (business_id, id) do update set ${ANEW} where draft.member_id = $member_id and draft.device = $device
         returning version, ${KEPT_AT}`
      : `update draft set ${ANEW} where business_id = $business_id and id = $id and member_id = $member_id
           and (version = $seen or device = $device) returning version, ${KEPT_AT}`,
    {
      bind: {
        business_id,
        member_id,
        id,
        letter: JSON.stringify(letter),
        base: JSON.stringify(base),
        name,
        template,
        device,
        ...(seen === 0 ? start : { seen }),
      },
      type: QueryTypes.SELECT,
    },
  );
  if (kept) return kept;
  const other = await draftById({ sequelize }, { business_id, member_id }, id);
  return other && { version: other.version, at: other.at, overtaken: true };
}

/** A draft of a member's; undefined: it was sent or thrown away, or is another's. */
export async function draftById(
  { sequelize }: Pick<Database, 'sequelize'>,
  { business_id, member_id }: OfMember,
  id: string,
): Promise<KeptDraft | undefined> {
  const [found] = await sequelize.query<KeptDraft>(
    `select ${LISTED}, letter, base from draft
     where business_id = $business_id and member_id = $member_id and id = $id and ${STILL_OPEN}`,
    { bind: { business_id, member_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

/** The drafts of a member, the newest first. */
export async function draftsOf(
  { sequelize }: Database,
  { business_id, member_id }: OfMember,
): Promise<ListedDraft[]> {
  return sequelize.query<ListedDraft>(
    `select ${LISTED} from draft where business_id = $business_id and member_id = $member_id and ${STILL_OPEN}
     order by kept_at desc limit ${MOST}`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** The drafts of a member from one record, for a device to compare with its own. */
export async function draftsThere(
  { sequelize }: Database,
  { business_id, member_id }: OfMember,
  start: StartingPoint,
): Promise<DraftsThere> {
  const [there] = await sequelize.query<DraftsThere>(
    `select (extract(epoch from now()) * 1000)::bigint as "asOf", (select coalesce(jsonb_agg(one), '[]') from
       (select id, version from draft where business_id = $business_id and member_id = $member_id
          and starting_kind = $kind and starting_key = $key and ${STILL_OPEN}
        order by kept_at desc limit ${MOST}) one) as kept`,
    { bind: { business_id, member_id, kind: start.kind, key: start.key }, type: QueryTypes.SELECT },
  );
  return there!;
}

/** A draft is wanted no more: it was thrown away, or its letter has gone. Gives whether there was one. */
export async function dropDraft(
  { models }: Database,
  { business_id, member_id }: OfMember,
  id: string,
): Promise<boolean> {
  return (await models.draft.destroy({ where: { business_id, member_id, id } })) > 0;
}
