import type { BookingFacts } from '../../core/contract/records/booking';
import type { EnquiryFacts } from '../../core/contract/records/enquiry';
import type { ClientParts, FormChoices } from '../../core/contract/records/formChoices';
import type { InvoiceFacts } from '../../core/contract/records/invoice';
import { clockMoment } from '../../core/contract/records/parts';
import type { ProjectFacts } from '../../core/contract/records/project';
import type { FactsOf } from '../../core/contract/records/recordForms';
import type { FormKind } from '../../core/contract/records/formKinds';
import { NEW_CLIENT } from '../../core/contract/records/shownClient';
import { dayAt, isoMoment, readMoment } from '../../core/dates/zone';
import { capital } from '../../core/describe/capital';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { clientParts } from './clientParts';
import { recordFacts } from './keepRecord';

/** What a new record is begun from: other records by their keys, and a time. */
export interface BegunFrom {
  client?: string | undefined;
  project?: string | undefined;
  booking?: string | undefined;
  enquiry?: string | undefined;
  /** "2026-03-03T09:30" of the business's clock */
  at?: string | undefined;
}

/** The beginning of a new record. */
export interface Begun<Kind extends FormKind> {
  facts: FactsOf[Kind];
  /** of the client that it is for */
  parts?: ClientParts;
  /** the enquiry that leads to it */
  enquiry?: string;
}

/**
 * The facts that a new record begins with, by what it is begun from; what is not there is left out.
 * @param choices those of its form
 */
export const beginRecord = forMember(
  async <Kind extends FormKind>(
    member: CurrentMember,
    kind: Kind,
    from: BegunFrom,
    choices: FormChoices,
  ): Promise<Begun<Kind>> => {
    const ofProject = from.project ? await recordFacts(member, 'project', from.project) : undefined;
    const ofBooking = from.booking ? await recordFacts(member, 'booking', from.booking) : undefined;
    const asked = from.enquiry ? await recordFacts(member, 'enquiry', from.enquiry) : undefined;
    const key = ofProject?.client ?? ofBooking?.client ?? asked?.client ?? from.client;
    const parts = key ? await clientParts(member, key) : undefined;
    const beginnings = {
      parts,
      project: ofProject && from.project,
      ofProject,
      ofBooking,
      asked,
      at: from.at,
      choices,
    };
    const facts = await BEGIN[kind](member, beginnings);
    return {
      facts: facts as FactsOf[Kind],
      ...(parts ? { parts } : {}),
      ...(asked ? { enquiry: from.enquiry! } : {}),
    };
  },
);

interface Beginnings {
  parts: ClientParts | undefined;
  /** its key */
  project: string | undefined;
  ofProject: ProjectFacts | undefined;
  ofBooking: BookingFacts | undefined;
  asked: EnquiryFacts | undefined;
  at: string | undefined;
  choices: FormChoices;
}

const BEGIN: { [Kind in FormKind]: (member: CurrentMember, from: Beginnings) => Promise<FactsOf[Kind]> } = {
  client: (_, { asked }) => {
    const { name = '', email, phone } = asked ?? {};
    return Promise.resolve({
      ...NEW_CLIENT,
      name: name || (email ?? ''),
      ...(email ? { email } : {}),
      ...(phone ? { phone } : {}),
    });
  },
  partner: () => Promise.resolve({ version: 1, name: '' }),
  enquiry: (_, { parts, choices: { own } }) =>
    Promise.resolve({
      version: 1,
      ...(parts ? { client: parts.key } : {}),
      received_at: isoMoment(now(), own.zone),
      wanted_on: [],
      status: 'waiting',
    }),
  project: (_, { parts, asked }) =>
    Promise.resolve({
      version: 1,
      client: parts?.key ?? '',
      title: asked?.service ?? '',
      status: 'planned',
      ...(parts?.address ? { location: parts.address } : {}),
      ...(asked?.wanted_on[0] ? { starts_on: asked.wanted_on[0] } : {}),
      contacts: [],
      partners: [],
    }),
  booking: beginBooking,
  invoice: beginInvoice,
};

/** On the first day that was asked for, or the time that was chosen, for the usual length; else its time is to be written. */
function beginBooking(
  _: CurrentMember,
  { parts, project, ofProject, asked, at, choices }: Beginnings,
): Promise<BookingFacts> {
  const { zone } = choices.own;
  const wanted = asked?.service?.toLowerCase();
  const service = choices.ways.services.find(({ name }) => name.toLowerCase() === wanted);
  const [day] = asked?.wanted_on ?? [];
  const starts = readMoment(clockMoment(zone).cast(at ?? (day ? `${day}T09:00` : '')) ?? '');
  const location = ofProject?.location ?? parts?.address;
  return Promise.resolve({
    version: 1,
    client: parts?.key ?? '',
    ...(project ? { project } : {}),
    service: asked?.service ?? '',
    status: asked ? 'tentative' : 'confirmed',
    starts_at: starts === undefined ? '' : isoMoment(starts, zone),
    ends_at: starts === undefined ? '' : isoMoment(starts + (service?.minutes ?? 60) * 60_000, zone),
    ...(location ? { location } : {}),
    ...(service?.price === undefined ? {} : { price: service.price }),
    // Where there is one thing only, it is that.
    items: parts?.items.length === 1 ? [parts.items[0]![0]] : [],
  });
}

/** A line for the booking with its day and price, or for the project with its value. */
async function beginInvoice(
  { business_id }: CurrentMember,
  { parts, project, ofProject, ofBooking, choices }: Beginnings,
): Promise<InvoiceFacts> {
  const book = await businessBook(business_id);
  const { tax_rate } = choices.ways;
  const taxed = tax_rate === '0' ? {} : { tax_rate };
  const from = project ?? ofBooking?.project;
  return {
    version: 1,
    client: parts?.key ?? '',
    ...(from ? { project: from } : {}),
    status: 'draft',
    ...(parts?.billing ? { bill_to: parts.billing } : {}),
    lines: [
      ofBooking
        ? {
            description: `${capital(ofBooking.service)}, ${dayOf(ofBooking.starts_at)}`,
            unit_price: ofBooking.price as number,
            ...taxed,
          }
        : {
            description: ofProject ? capital(ofProject.title) : '',
            unit_price: ofProject?.value as number,
            ...taxed,
          },
    ],
    instalments: [],
  };

  function dayOf(iso: string): string {
    return formatsOf(book).date(dayAt(readMoment(iso)!, book.zone), 'date');
  }
}
