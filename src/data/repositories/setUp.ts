import type { SetUp } from '../../core/contract/settingUp';
import type { Database } from '../database';

/** How far a business is with setting up; undefined where that is over. @param lock holds it until the transaction ends */
export async function setUpOf(
  { models }: Database,
  business_id: string,
  lock = false,
): Promise<SetUp | undefined> {
  const found = (await models.business.findOne({
    attributes: ['set_up'],
    where: { id: business_id },
    lock,
    raw: true,
  })) as unknown as { set_up: SetUp | null } | null;
  return found?.set_up ?? undefined;
}

/** Keeps how far it is; null: it is over. */
export async function keepStep(
  { models }: Database,
  business_id: string,
  set_up: SetUp | null,
): Promise<void> {
  await models.business.update({ set_up }, { where: { id: business_id } });
}
