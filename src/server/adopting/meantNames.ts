import type { ToBring } from '../../core/contract/bringTemplates';
import { foreignNames, keepForeignNames } from '../../data/repositories/templates/foreignNames';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What foreign names were said to mean, as they are kept. */
export const meantNames = forMember(({ business_id }: CurrentMember) =>
  foreignNames(connection(), business_id),
);

/** Remembers what foreign names were said to mean. */
export const keepMeant = forMember(({ business_id }: CurrentMember, names: ToBring['names']) =>
  keepForeignNames(connection(), business_id, names, new Date(now())),
);
