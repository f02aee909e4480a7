import { SET_UP_STEPS, type SetUp, type SetUpStep } from '../../core/contract/settingUp';
import { keepStep, setUpOf } from '../../data/repositories/setUp';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** How far a member's business is with setting up; undefined where that is over. */
export const settingUp = forMember(async ({ business_id }: CurrentMember): Promise<SetUp | undefined> =>
  setUpOf(connection(), business_id),
);

/** Notes that a step was gone through, or put off; when all were gone through, or are left, setting up is over. */
export const noteStep = forMember(
  async (
    { business_id }: CurrentMember,
    step: SetUpStep | 'all',
    as: 'done' | 'skipped',
  ): Promise<SetUp | undefined> => {
    const now = await setUpOf(connection(), business_id, true);
    if (!now) return undefined;
    const next = step === 'all' ? undefined : { ...now, [step]: as };
    const over = !next || SET_UP_STEPS.every((one) => next[one] === 'done');
    await keepStep(connection(), business_id, over ? null : next);
    return over ? undefined : next;
  },
);
