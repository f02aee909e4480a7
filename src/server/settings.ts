import { businessSettings, settle, type BusinessSettings } from '../data/repositories/businessSettings';
import { connection } from './connection';
import type { CurrentMember } from './signIn/currentMember';
import { forMember } from './forMember';

/** What the business has settled for itself. */
export const settingsOf = forMember(async ({ business_id }: CurrentMember): Promise<BusinessSettings> => {
  return businessSettings(connection(), business_id);
});

/** Settles those that are given, for everybody in the business. */
export const changeSettings = forMember(
  async ({ business_id }: CurrentMember, settings: Partial<BusinessSettings>): Promise<void> => {
    await settle(connection(), business_id, settings);
  },
);
