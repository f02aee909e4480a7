import type { Readable } from 'node:stream';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { keyOfName } from '../../core/template/keyOfName';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';
import { takeOut } from './takeOut';

/** The whole business as a zip, for an owner. @throws NotAllowed */
export async function archiveOf(member: CurrentMember): Promise<{ name: string; content: Readable }> {
  mustOwn(member);
  const name = await fileName(member);
  return { name, content: takeOut(connection(), member.business_id, now()) };
}

const fileName = forMember(async ({ business_id, business_name }: CurrentMember): Promise<string> => {
  const today = isoOf(dayAt(now(), await zoneOfBusiness(connection(), business_id)));
  return `${keyOfName(business_name, 'business')}-${today}.zip`;
});
