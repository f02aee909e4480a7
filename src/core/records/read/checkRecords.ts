import { CHOICES, choicesOf } from '../catalogue/choices';
import { isTimeZone } from '../../dates/zone';
import { isCurrency } from '../../money/currency';
import { didYouMean } from '../../problems/nearest';
import { ADDRESS_PARTS, CATALOGUE, CUSTOMISABLE } from '../catalogue/catalogue';
import type { FieldDefinition } from '../catalogue/field';
import type { FieldType } from '../fieldType';
import type { RecordKind } from '../recordKind';
import type { RecordsFile } from '../recordsFile';
import { absent, EXPECTED, isLocale, isObject, isText } from './storedValues';

/** Something that keeps a value from being records, with the way to it. */
export interface Wrong {
  path: (string | number)[];
  message: string;
  /** the key itself is wrong, not its value */
  atKey?: true;
}

type Path = Wrong['path'];

const LISTS = {
  members: 'member',
  partners: 'partner',
  clients: 'client',
  enquiries: 'enquiry',
  projects: 'project',
  bookings: 'booking',
  invoices: 'invoice',
} as const satisfies Record<string, RecordKind>;

const KEYED = new Set<RecordKind>([
  'member',
  'partner',
  'client',
  'contact',
  'item',
  'enquiry',
  'project',
  'booking',
  'invoice',
]);

/** Everything in a value that keeps it from being the records of a business. */
export function checkRecords(value: unknown): Wrong[] {
  return new RecordsChecker().check(value);
}

class RecordsChecker {
  private readonly wrong: Wrong[] = [];

  check(value: unknown): Wrong[] {
    if (!isObject(value)) {
      this.report([], 'The records are an object with a “business” and lists of records.');
      return this.wrong;
    }
    const known = ['business', ...Object.keys(LISTS)];
    for (const key of Object.keys(value)) {
      if (!known.includes(key)) this.unknownKey([key], 'The records have', known);
    }
    if (!isObject(value.business)) this.report(['business'], 'The records need a “business”.');
    else this.business(value.business);
    for (const [list, kind] of Object.entries(LISTS)) {
      if (!absent(value[list])) this.list(value[list], kind, [list]);
    }
    if (this.wrong.length === 0) this.references(value as unknown as RecordsFile);
    return this.wrong;
  }

  private list(value: unknown, kind: RecordKind, path: Path): void {
    if (!Array.isArray(value)) {
      this.report(path, `“${path.at(-1)}” is a list of records.`);
      return;
    }
    const keys = new Set<unknown>();
    value.forEach((record: unknown, i) => {
      const at = [...path, i];
      if (!isObject(record)) return this.report(at, `Each of “${path.at(-1)}” is an object.`);
      this.record(record, kind, at);
      if (!KEYED.has(kind)) return;
      if (typeof record.key !== 'string' || record.key === '') this.report(at, `This ${kind} needs a “key”.`);
      else if (keys.has(record.key))
        this.report([...at, 'key'], `There is another ${kind} with the key “${record.key}”.`);
      keys.add(record.key);
    });
  }

  private record(
    record: Record<string, unknown>,
    kind: RecordKind,
    path: Path,
    extra: readonly string[] = [],
  ): void {
    const fields = CATALOGUE[kind];
    for (const [key, value] of Object.entries(record)) {
      const at = [...path, key];
      const field = fields.get(key);
      if (key === 'custom' && CUSTOMISABLE.includes(kind)) this.custom(value, at);
      else if (field && !field.derived) this.field(value, field, kind, at);
      else if (!(key === 'key' && KEYED.has(kind)) && !extra.includes(key)) {
        if (field) this.report(at, `“${key}” is worked out and cannot be given.`, true);
        else this.unknownKey(at, `${article(kind)} has`, storedKeys(kind));
      }
    }
  }

  private field(value: unknown, { key, type, refers }: FieldDefinition, kind: RecordKind, path: Path): void {
    if (absent(value)) return;
    if (refers) {
      const good = type.kind === 'collection' ? Array.isArray(value) && value.every(isText) : isText(value);
      if (!good)
        this.report(
          path,
          `“${key}” names ${type.kind === 'collection' ? 'records by a list of keys' : 'a record by its key'}.`,
        );
      return;
    }
    this.value(value, type, path);
    const choices = key === 'uses' ? undefined : choicesOf(`${kind}.${key}`);
    if (choices && !choices.includes(value as string)) {
      this.report(
        path,
        `“${key}” is one of ${choices.join(', ')}, not “${String(value)}”.${didYouMean(String(value), choices)}`,
      );
    }
    if (key === 'uses' && Array.isArray(value)) {
      value.forEach((use, i) => {
        if (!(CHOICES['contact.uses'] as readonly unknown[]).includes(use))
          this.report(
            [...path, i],
            `A contact is used for ${CHOICES['contact.uses'].join(', ')}, not “${String(use)}”.`,
          );
      });
    }
  }

  private value(value: unknown, type: FieldType, path: Path): void {
    if (type.kind === 'collection') {
      const { of } = type;
      if (of.kind === 'record') this.list(value, of.record, path);
      else if (!Array.isArray(value)) this.report(path, `“${path.at(-1)}” is a list.`);
      else value.forEach((item: unknown, i) => this.value(item, of, [...path, i]));
    } else if (type.kind === 'address') this.address(value, path);
    else {
      const expected = EXPECTED[type.kind as keyof typeof EXPECTED];
      if (expected && !expected[1](value)) {
        this.report(
          path,
          `“${typeof path.at(-1) === 'number' ? path.at(-2) : path.at(-1)}” is ${expected[0]}, not ${JSON.stringify(value)}.`,
        );
      }
    }
  }

  private address(value: unknown, path: Path): void {
    if (!isObject(value))
      return this.report(path, 'An address is an object with street, town, region, postcode, country.');
    for (const [part, text] of Object.entries(value)) {
      const at = [...path, part];
      if (!Object.hasOwn(ADDRESS_PARTS, part))
        this.unknownKey(at, 'An address has', Object.keys(ADDRESS_PARTS));
      else if (absent(text)) continue;
      else if (
        part === 'street'
          ? !(Array.isArray(text) && text.every((line) => typeof line === 'string'))
          : !isText(text)
      ) {
        this.report(at, part === 'street' ? '“street” is a list of lines.' : `“${part}” is text.`);
      }
    }
  }

  private custom(value: unknown, path: Path): void {
    if (absent(value)) return;
    if (!isObject(value)) return this.report(path, '“custom” is an object.');
    for (const [key, one] of Object.entries(value)) {
      const money = isObject(one) && Object.keys(one).length === 1 && Number.isSafeInteger(one.money);
      if (!money && one !== null && !['string', 'number', 'boolean'].includes(typeof one)) {
        this.report(
          [...path, key],
          'A custom field is yes or no, a number, text, a date or {"money": 12000}.',
        );
      }
    }
  }

  private business(business: Record<string, unknown>): void {
    const path = ['business'];
    this.record(business, 'business', path, ['links', 'custom_fields', 'key']);
    const { time_zone, currency, locale, hour_cycle, working_days, links, custom_fields } = business;
    if (isText(time_zone) && !isTimeZone(time_zone))
      this.report(
        [...path, 'time_zone'],
        `“${time_zone}” is no time zone; they are written as Europe/London.`,
      );
    if (isText(currency) && !isCurrency(currency))
      this.report([...path, 'currency'], `“${currency}” is no currency; they are written as GBP.`);
    if (isText(locale) && !isLocale(locale))
      this.report([...path, 'locale'], `“${locale}” is no locale; they are written as en-GB.`);
    if (!absent(hour_cycle) && hour_cycle !== 12 && hour_cycle !== 24)
      this.report([...path, 'hour_cycle'], '“hour_cycle” is 12 or 24.');
    if (Array.isArray(working_days)) {
      working_days.forEach((day, i) => {
        if (!Number.isInteger(day) || day < 1 || day > 7)
          this.report([...path, 'working_days', i], 'A working day is 1 (Monday) to 7 (Sunday).');
      });
    }
    if (!absent(links)) this.rows(links, [...path, 'links'], { key: isText, name: isText, address: isText });
    if (!absent(custom_fields)) {
      this.rows(custom_fields, [...path, 'custom_fields'], {
        record: (kind) => CUSTOMISABLE.includes(kind as RecordKind),
        key: isText,
        label: isText,
        type: (type) => (CHOICES['custom_field.type'] as readonly unknown[]).includes(type),
        help: (help) => absent(help) || isText(help),
        choices: (choices) => absent(choices) || (Array.isArray(choices) && choices.every(isText)),
      });
    }
  }

  private rows(value: unknown, path: Path, shape: Record<string, (value: unknown) => boolean>): void {
    if (!Array.isArray(value)) return this.report(path, `“${path.at(-1)}” is a list.`);
    value.forEach((row: unknown, i) => {
      if (!isObject(row)) return this.report([...path, i], `Each of “${path.at(-1)}” is an object.`);
      for (const key of Object.keys(row)) {
        if (!Object.hasOwn(shape, key)) this.unknownKey([...path, i, key], 'It has', Object.keys(shape));
      }
      for (const [key, good] of Object.entries(shape)) {
        if (!good(row[key])) this.report([...path, i, key], `“${key}” is missing or not what belongs here.`);
      }
    });
  }

  /** Every record that another one names must be there. */
  private references(file: RecordsFile): void {
    const keys = Object.fromEntries(
      Object.entries(LISTS).map(([list, kind]) => [
        kind,
        new Set((file[list as keyof typeof LISTS] ?? []).map(({ key }) => key)),
      ]),
    ) as Record<RecordKind, Set<string>>;
    const clients = new Map((file.clients ?? []).map((client) => [client.key, client]));
    const own = (client: string | undefined, list: 'items' | 'contacts') =>
      new Set((clients.get(client ?? '')?.[list] ?? []).map(({ key }) => key));
    for (const [list, kind] of Object.entries(LISTS)) {
      (file[list as keyof typeof LISTS] ?? []).forEach((record, i) => {
        const data = record as unknown as Record<string, unknown>;
        for (const { key, refers } of CATALOGUE[kind].values()) {
          if (!refers || absent(data[key])) continue;
          const there =
            refers === 'item' || refers === 'contact'
              ? own(data.client as string, refers === 'item' ? 'items' : 'contacts')
              : keys[refers];
          const named = Array.isArray(data[key]) ? (data[key] as string[]) : [data[key] as string];
          named.forEach((name, j) => {
            if (there.has(name)) return;
            const at = Array.isArray(data[key]) ? [list, i, key, j] : [list, i, key];
            const whose =
              refers === 'item' || refers === 'contact' ? ` at client “${String(data.client)}”` : '';
            this.report(
              at,
              `There is no ${refers} with the key “${name}”${whose}.${didYouMean(name, there)}`,
            );
          });
        }
      });
    }
  }

  private unknownKey(path: Path, subject: string, known: readonly string[]): void {
    const key = String(path.at(-1));
    this.report(path, `${subject} no key “${key}”.${didYouMean(key, known)}`, true);
  }

  private report(path: Path, message: string, atKey?: boolean): void {
    this.wrong.push({ path, message, ...(atKey ? { atKey: true as const } : {}) });
  }
}

function storedKeys(kind: RecordKind): string[] {
  const own = [...CATALOGUE[kind].values()].filter((field) => !field.derived).map((field) => field.key);
  return [...own, ...(KEYED.has(kind) ? ['key'] : []), ...(CUSTOMISABLE.includes(kind) ? ['custom'] : [])];
}

function article(kind: string): string {
  return /^[aeiou]/.test(kind) ? `An ${kind}` : `A ${kind}`;
}
