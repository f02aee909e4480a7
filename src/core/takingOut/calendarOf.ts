import ICAL from 'ical.js';
import { readMoment } from '../dates/zone';
import type { AddressData } from '../records/recordsFile';

/** A visit as a calendar has it. */
export interface CalendarBooking {
  /** stable, so that one that is moved is the same */
  uid: string;
  /** how often it was changed */
  version: number;
  title: string;
  status: string;
  /** ISO with offset */
  starts_at: string;
  ends_at: string;
  location?: AddressData | undefined;
  notes?: string | undefined;
  /** whose calendar it comes from (RFC 5546 asks for it) */
  organizer?: { name: string; email: string };
}

/** What tells a booking in every calendar, as long as it is there. */
export function uidOfBooking(business_id: string, key: string): string {
  return `${key}.${business_id}@fair-quill`;
}

const STATUS: Readonly<Record<string, string>> = { tentative: 'TENTATIVE', cancelled: 'CANCELLED' };

/**
 * A calendar (RFC 5545, METHOD:PUBLISH) of visits, its times in UTC, so that no zone has to come along.
 * @param at when it was made, in milliseconds
 */
export function calendarOf(name: string, bookings: readonly CalendarBooking[], at: number): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Fair Quill//EN');
  calendar.addPropertyWithValue('method', 'PUBLISH');
  // RFC 7986
  calendar.addPropertyWithValue('name', name);
  for (const booking of bookings) {
    const event = new ICAL.Component('vevent');
    const time = (milliseconds: number) => ICAL.Time.fromJSDate(new Date(milliseconds), true);
    event.addPropertyWithValue('uid', booking.uid);
    event.addPropertyWithValue('sequence', booking.version - 1);
    event.addPropertyWithValue('dtstamp', time(at));
    event.addPropertyWithValue('dtstart', time(readMoment(booking.starts_at) ?? at));
    event.addPropertyWithValue('dtend', time(readMoment(booking.ends_at) ?? at));
    event.addPropertyWithValue('summary', booking.title);
    event.addPropertyWithValue('status', STATUS[booking.status] ?? 'CONFIRMED');
    const place = placeOf(booking.location);
    if (place) event.addPropertyWithValue('location', place);
    if (booking.notes) event.addPropertyWithValue('description', booking.notes);
    if (booking.organizer) {
      const organizer = event.addPropertyWithValue('organizer', `mailto:${booking.organizer.email}`);
      organizer.setParameter('cn', booking.organizer.name);
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

function placeOf({ street = [], town, region, postcode, country }: AddressData = {}): string {
  return [...street, town, region, postcode, country].filter(Boolean).join(', ');
}
