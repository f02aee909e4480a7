import type { MadeClients, NewClients } from '../../core/contract/records/newClients';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { insertClients } from '../../data/repositories/records/newClients';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Writes clients down, as they were jotted; they are clients since today. */
export const makeClients = forMember(
  async ({ business_id }: CurrentMember, clients: NewClients): Promise<MadeClients> => {
    const database = connection();
    const zone = await zoneOfBusiness(database, business_id);
    return insertClients(database, business_id, clients, isoOf(dayAt(now(), zone)));
  },
);
