import { boolean, object } from 'yup';

/** Whether a member may change what everyone writes with: given to `/api/members/<key>/rights`. */
export const RIGHTS = object({ changesShared: boolean().required('Say whether they may.') }).noUnknown();

/** A member, and whether they may. */
export interface MemberRights {
  key: string;
  name: string;
  /** an owner always may */
  owner: boolean;
  changesShared: boolean;
}
