import { string, type ObjectSchema } from 'yup';
import { bookingFacts, type BookingFacts } from './booking';
import { clientFacts, type ClientFacts } from './client';
import type { OwnFields } from './customFacts';
import { enquiryFacts, type EnquiryFacts } from './enquiry';
import { invoiceFacts, type InvoiceFacts } from './invoice';
import type { FormKind } from './formKinds';
import { recordKey } from './parts';
import { partnerFacts, type PartnerFacts } from './partner';
import { projectFacts, type ProjectFacts } from './project';

/** The kinds of record that are written by hand, with the facts that their forms keep. */
export interface FactsOf {
  client: ClientFacts;
  enquiry: EnquiryFacts;
  project: ProjectFacts;
  booking: BookingFacts;
  invoice: InvoiceFacts;
  partner: PartnerFacts;
}

/** The schema of each, for the browser and the server. */
export const RECORD_FORMS: { [Kind in FormKind]: (own: OwnFields) => ObjectSchema<object> } = {
  client: clientFacts,
  enquiry: enquiryFacts,
  project: projectFacts,
  booking: bookingFacts,
  invoice: invoiceFacts,
  partner: partnerFacts,
};

/**
 * A new record's facts, under an id that its form made: the same id again is the same record. An enquiry that led to it is named
 * by its key.
 */
export function newFacts(kind: FormKind, own: OwnFields): ObjectSchema<object> {
  return RECORD_FORMS[kind](own).shape({ id: string().uuid().required(), enquiry: recordKey() });
}
