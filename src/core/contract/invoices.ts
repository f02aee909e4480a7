import { object, string } from 'yup';
import { VERSION } from './numbers';

/** Issuing a draft or making an invoice void, with the version that was seen: given to `/api/invoices/<key>/status`. */
export const CHANGE_INVOICE = object({
  version: VERSION,
  to: string().oneOf(['sent', 'void']).required(),
}).noUnknown();

/** What came of it. @property number of an invoice that was issued */
export type InvoiceChanging =
  | { result: 'done'; number?: string; error?: undefined }
  | { result: 'overtaken' | 'gone' | 'wrong'; error: string };
