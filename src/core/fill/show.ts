import { fullName } from '../people/names';
import type { AddressData } from '../records/recordsFile';
import type { FieldType } from '../records/fieldType';
import type { RecordKind } from '../records/recordKind';
import { addressLines } from './formats/address';
import { phoneNumber } from './formats/phone';
import { smallWords } from './formats/smallWords';
import type { Run } from './run';
import type { Show } from './steps/meaning';
import { safeAddress } from '../document/safeAddress';
import { isKeptPicture } from './write/images';

/** The default form of a type as text. */
export function textOf(type: FieldType): (value: never, run: Run) => string {
  switch (type.kind) {
    case 'date':
      return (day: number, run) => run.formats.date(day, 'date');
    case 'moment':
      return (moment: number, run) => run.formats.date(run.formats.dayOf(moment), 'date');
    case 'money':
      return (amount: number, run) => run.formats.money(amount);
    case 'number':
      return (value: number, run) => run.formats.decimal(value);
    case 'percent':
      return (value: number, run) => run.formats.percent(value);
    case 'duration':
      return (minutes: number, run) => run.formats.duration(minutes);
    case 'phone':
      return (number: string, run) => phoneNumber(number, 'local', run.formats.settings.home);
    case 'address':
      return (address: AddressData, run) => addressLines(address, run.formats.settings.home).join(', ');
    case 'yes/no':
      return (value: boolean, run) => {
        const words = smallWords(run.formats.settings.locale);
        return value ? words.yes : words.no;
      };
    case 'collection': {
      const each = textOfItem(type.of);
      return (values: unknown[], run) => run.formats.and(values.map((value) => each(value as never, run)));
    }
    case 'record':
      return () => ''; // refused while compiling
    default:
      return asItIs;
  }
}

/** The types whose default form holds figures and words of the locale alone, in which nothing is to be escaped. */
export const FIGURES: ReadonlySet<FieldType['kind']> = new Set<FieldType['kind']>([
  'date',
  'moment',
  'money',
  'number',
  'percent',
  'duration',
  'yes/no',
]);

/** A text is shown as it stands. */
export function asItIs(text: string): string {
  return text;
}

/** What a record in a list is called: the first of these that it has. */
const NAMED_BY = ['number', 'title', 'service', 'name', 'description', 'amount'] as const;

/** An element of a list as text; records by what they are called. */
export function textOfItem(type: FieldType): (value: never, run: Run) => string {
  if (type.kind !== 'record') return textOf(type);
  return (data: Record<string, unknown>, run) => nameOf(type.record, data, run);
}

/** A list calls people by their full names. */
const PEOPLE: ReadonlySet<RecordKind> = new Set<RecordKind>(['client', 'contact', 'member', 'recipient']);

function nameOf(kind: RecordKind, data: Record<string, unknown>, run: Run): string {
  if (PEOPLE.has(kind)) return fullName(data) ?? kind;
  for (const key of NAMED_BY) {
    const value = data[key];
    if (key === 'amount' && typeof value === 'number') return run.formats.money(value);
    if (typeof value === 'string' && value) return value;
  }
  return fullName(data) ?? kind;
}

/** How a value is written where it is more than words; undefined where its type says words alone. */
export function defaultShow(type: FieldType, inLink: boolean): Show | undefined {
  if (type.kind === 'link') return showLink(undefined, false, inLink);
  return type.kind === 'image' ? showImage(undefined) : undefined;
}

/**
 * A link that reads as the words given, else as its address. One that may not be followed, or stands in another link,
 * stays plain words.
 */
export function showLink(reads: string | undefined, button: boolean, inLink: boolean): Show {
  return (stored: string, _run, words) => {
    const address = inLink ? undefined : safeAddress(stored);
    const text = reads ?? stored;
    const link = address !== undefined && ({ type: 'link', attrs: { address, button } } as const);
    if (link) words.beginMark(link);
    words.value(text);
    if (link) words.endMark(link);
    return text;
  };
}

/** A picture is described by whose it is, or where that is not known by its file's name. */
export function showImage(width: number | undefined): Show {
  return (source: string, _run, words, owner) => {
    const description =
      owner || (isKeptPicture(source) ? '' : source.replace(/^.*\//, '').replace(/\.\w+$/, ''));
    words.image({ source, description, ...(width === undefined ? {} : { width }) });
    return description;
  };
}
