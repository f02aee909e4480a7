import type { Settings } from '../../core/contract/settings';
import type { Database } from '../database';

/** What a business settles for itself (contract/settings). */
export type BusinessSettings = { [Name in keyof Settings]-?: NonNullable<Settings[Name]> };

const COLUMNS = {
  reminderSpacing: 'reminder_spacing',
  lateAfter: 'hold_after_hours',
  idleDays: 'idle_days',
  takeBackSeconds: 'take_back_seconds',
  sameLetterDays: 'same_letter_days',
  deviceDays: 'device_days',
  marksReplies: 'marks_replies',
  asksOpened: 'asks_opened',
} as const;

export async function businessSettings({ models }: Database, business_id: string): Promise<BusinessSettings> {
  return (await models.business.findByPk(business_id, {
    attributes: Object.entries(COLUMNS).map(([name, column]) => [column, name]),
    rejectOnEmpty: true,
    raw: true,
  })) as unknown as BusinessSettings;
}

/** Settles those that are given. */
export async function settle(
  { models }: Database,
  business_id: string,
  settings: Partial<BusinessSettings>,
): Promise<void> {
  const values = Object.fromEntries(
    Object.entries(settings).map(([name, value]) => [COLUMNS[name as keyof BusinessSettings], value]),
  );
  await models.business.update(values, { where: { id: business_id } });
}
