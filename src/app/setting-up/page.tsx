import { redirect } from 'next/navigation';
import { SET_UP_STEPS } from '../../core/contract/settingUp';
import { settingUp } from '../../server/settingUp/setUp';
import { requireMember } from '../session';

/** Goes on where setting up was left. */
export default async function SettingUpPage() {
  const setUp = await settingUp(await requireMember());
  const next =
    SET_UP_STEPS.find((step) => setUp?.[step] === undefined) ??
    SET_UP_STEPS.find((step) => setUp?.[step] === 'skipped');
  redirect(setUp && next ? `/setting-up/${next}` : '/today');
}
