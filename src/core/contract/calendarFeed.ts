import { object, string } from 'yup';

/** Whether a member wants an address of the calendar, another than before, or none: given to `/api/business/calendar`. */
export const FEED_ACT = object({ act: string().oneOf(['give', 'take away']).required() }).noUnknown();
