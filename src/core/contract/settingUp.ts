import { array, object, string, type InferType } from 'yup';
import { COUNTRIES } from '../records/countryDefaults';
import { emailAddress, line } from './records/parts';

/** The shortest password that an account may have. */
export const SHORTEST_PASSWORD = 10;

/** A business to be made with its first owner: given to `/api/business`, and read by the form itself. */
export const NEW_BUSINESS = object({
  name: line().required('Write what clients call your business.'),
  /** ISO 3166-1 alpha-2 */
  country: string().required('Choose your country.').oneOf(COUNTRIES, 'Choose your country.'),
  full_name: line().required('Write your name, as your letters say it.'),
  email: emailAddress().required('Write the address that you write from.'),
  password: string()
    .required(`Choose a password of at least ${SHORTEST_PASSWORD} characters.`)
    .min(SHORTEST_PASSWORD, `At least ${SHORTEST_PASSWORD} characters. A few words are best.`)
    .max(1000, 'That is longer than 1,000 characters.'),
  /** what the browser says of its user: BCP 47, IANA */
  languages: array(string().required().max(100)).max(20),
  timeZone: string().max(100),
  /** what an invitation is known by, where there is a business already */
  invited: string().max(100),
}).noUnknown();
export type NewBusiness = InferType<typeof NEW_BUSINESS>;

/** An invitation is good for so many days. */
export const INVITED_FOR_DAYS = 7;

/** The pages of setting up, in their order. */
export const SET_UP_STEPS = ['business', 'member', 'sending', 'clients', 'templates', 'trial'] as const;
export type SetUpStep = (typeof SET_UP_STEPS)[number];

/** How far setting up is: each step that was gone through, and those that were put off. */
export type SetUp = Partial<Record<SetUpStep, 'done' | 'skipped'>>;

/** A step that was gone through or put off, or all of them left: given to `/api/business/set-up`. */
export const STEP = object({
  step: string()
    .oneOf([...SET_UP_STEPS, 'all'] as const)
    .required(),
  as: string()
    .oneOf(['done', 'skipped'] as const)
    .required(),
}).noUnknown();
