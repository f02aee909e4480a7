import { object, string, type InferType } from 'yup';

/** Who signs in: given to `/api/session`. */
export const CREDENTIALS = object({
  email: string().required('Write your email address.').max(254),
  password: string().required('Write your password.').max(1000),
}).noUnknown();
export type Credentials = InferType<typeof CREDENTIALS>;
