import { letterById, type KeptLetter } from '../../data/repositories/letters';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Whether it may be the id of a letter. */
export const isLetterId = (id: string): boolean => UUID.test(id);

/** A letter as it was sent or received. Undefined: there is none. */
export const oneLetter = forMember(
  async ({ business_id }: CurrentMember, id: string): Promise<KeptLetter | undefined> => {
    return isLetterId(id) ? letterById(connection(), business_id, id) : undefined;
  },
);
