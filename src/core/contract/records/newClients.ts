import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import { MOST_LINES } from '../../records/read/clientLines';
import { emailAddress, line, phoneNumber } from './parts';

/** Clients as they are jotted down: given to `/api/clients`. */
export const NEW_CLIENTS = object({
  clients: array(
    object({
      name: line().required('Write what the client is called.'),
      kind: string().oneOf(CHOICES['client.kind']).required(),
      email: emailAddress(),
      phone: phoneNumber(),
    }).noUnknown(),
  )
    .required()
    .min(1, 'Write at least one client down.')
    .max(MOST_LINES, `At most ${MOST_LINES} at once.`),
}).noUnknown();
export type NewClients = InferType<typeof NEW_CLIENTS>['clients'];

/** What came of it: the keys of those that were made, and the names of those that are there already. */
export interface MadeClients {
  made: { key: string; name: string }[];
  /** by name with email address or number: nobody is made twice by pressing twice */
  there: string[];
}
