import { object, string } from 'yup';
import { VERSION } from '../numbers';
import type { Refusal } from '../refusal';

/** Removing a record that is as it was seen: given to `/api/records/<kind>/<key>`. */
export const REMOVE_RECORD = object({ version: VERSION }).noUnknown();

/** Putting one back: given to `/api/records/removed`. */
export const PUT_BACK_RECORD = object({ id: string().uuid().required() }).noUnknown();

/** @property removed what puts it back */
export type RemoveAnswer = { removed: string; error?: undefined } | Refusal;
/** @property path its page */
export type PutBackAnswer = { kind: string; key: string; error?: undefined } | Refusal;
