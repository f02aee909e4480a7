import { array, boolean, object, type InferType } from 'yup';
import { VERSION } from './numbers';
import { day, emailAddress, line, lines, phoneNumber } from './records/parts';

/** A business's form for its own site, with the version that was seen: given to `/api/business/enquiry-form`. */
export const ENQUIRY_FORM_FACTS = object({
  version: VERSION,
  is_open: boolean().required(),
  intro: lines(2_000),
  asks_service: boolean().required(),
  /** the origins of the sites that may have it in a frame, typed one a line */
  sites: array(
    line(200)
      .required()
      .test(
        'site',
        'Write each site as https://house.example, one a line.',
        (site) =>
          /^https?:\/\/[a-z0-9.-]+(?::\d+)?$/.test(site ?? '') &&
          URL.canParse(site!) &&
          new URL(site!).origin === site,
      ),
  )
    .transform((value: unknown, typed: unknown) =>
      typeof typed === 'string'
        ? typed
            .split('\n')
            .map((one) => one.trim().toLowerCase().replace(/\/+$/, ''))
            .filter(Boolean)
        : value,
    )
    .required()
    .max(20, 'At most 20 sites.'),
  /** the key of the passage that is said afterwards */
  passage: line(100),
}).noUnknown();
export type EnquiryFormFacts = InferType<typeof ENQUIRY_FORM_FACTS>;

/** As a form's controls show them. */
export function shownEnquiryForm({ version: _, sites, ...facts }: EnquiryFormFacts) {
  return { intro: '', passage: '', ...facts, sites: sites.join('\n') };
}

/** So many days can be asked for. */
export const MOST_DAYS_ASKED = 3;

/** What somebody asks by the form. */
export const ASKED = object({
  name: line(100).required('Please write your name.'),
  email: emailAddress(),
  phone: phoneNumber(),
  service: line(200),
  days: array(day().required()).required().max(MOST_DAYS_ASKED),
  message: lines(5_000).required('Please write what it is about.'),
})
  .noUnknown()
  .test(
    'reached',
    'Please write an email address or a telephone number, so that you can be answered.',
    ({ email, phone }, { createError }) => Boolean(email ?? phone) || createError({ path: 'email' }),
  );
export type AskedByForm = InferType<typeof ASKED>;
