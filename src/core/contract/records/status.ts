import { object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import type { StatusKind } from '../../occasions/statusAfter';

const STATUS = string().required().max(40);

/** How a record stood as it was seen, and how it stands from now on: given to `/api/records/<kind>/<key>/status`. */
export const CHANGE_STATUS = object({ from: STATUS, to: STATUS }).noUnknown();
export type ChangeStatus = InferType<typeof CHANGE_STATUS>;

/** Whether a kind of record can stand so. */
export function isStatusOf(kind: StatusKind, status: string): boolean {
  return (CHOICES[`${kind}.status`] as readonly string[]).includes(status);
}
