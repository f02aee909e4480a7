import { readDay } from '../dates/civil';
import { readMoment } from '../dates/zone';
import { addressLines } from '../fill/formats/address';
import type { Formats } from '../fill/formats/formats';
import { formatsOf } from '../fill/formats/formatsOf';
import { phoneNumber } from '../fill/formats/phone';
import { fullName } from '../people/names';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { RecordBook } from '../records/recordBook';
import type { AddressData, Custom, CustomValue } from '../records/recordsFile';

/** Facts of records in words, as a record's page shows them, in the business's form; undefined where there is none. */
export class FactWords {
  private readonly formats: Formats;
  private readonly home: string;

  constructor(private readonly book: RecordBook) {
    this.formats = formatsOf(book);
    this.home = book.business.locale ?? SCHEMA_DEFAULTS.locale;
  }

  money(amount: number | undefined): string | undefined {
    return amount === undefined ? undefined : this.formats.money(amount);
  }

  member(key: string | undefined): string | undefined {
    const member = this.book.members.get(key ?? '');
    return member && fullName(member);
  }

  date(iso: string | undefined): string | undefined {
    const day = readDay(iso ?? '');
    return day === undefined ? undefined : this.formats.date(day, 'date');
  }

  time(iso: string | undefined): string | undefined {
    const moment = readMoment(iso ?? '');
    return moment === undefined ? undefined : this.formats.time(moment);
  }

  moment(iso: string | undefined): string | undefined {
    const moment = readMoment(iso ?? '');
    if (moment === undefined) return undefined;
    return `${this.formats.date(this.formats.dayOf(moment), 'long date')} at ${this.formats.time(moment)}`;
  }

  address(address: AddressData | undefined): string | undefined {
    return address && addressLines(address, this.home).join(', ');
  }

  phone(number: string | undefined): string | undefined {
    return number && phoneNumber(number, 'local', this.home);
  }

  custom(record: string, values: Custom | undefined): { label: string; value: string }[] {
    const fields = (this.book.business.custom_fields ?? []).filter((field) => field.record === record);
    return fields.flatMap(({ key, label }) => {
      const value = values?.[key];
      return value === undefined || value === null ? [] : { label, value: this.customValue(value) };
    });
  }

  private customValue(value: NonNullable<CustomValue>): string {
    if (typeof value === 'boolean') return value ? 'yes' : 'no';
    if (typeof value === 'number') return String(value);
    if (typeof value === 'object') return this.formats.money(value.money);
    return this.date(value) ?? value;
  }
}
