import { describe, expect, it } from 'vitest';
import type { CustomFieldData, RecordsFile } from '../records/recordsFile';
import type { StartingKind } from '../records/recordKind';
import { fillSample, problemsOf, SAMPLE } from './test/fillSample';

/** One value of every type that a custom field can have, and how it reads. */
const VALUES = {
  text: ['by hand', 'by hand'],
  'long text': ['one\ntwo', 'one\ntwo'],
  number: [12.5, '12.5'],
  money: [6500, '£65.00'],
  date: ['2026-03-31', '31 March 2026'],
  'yes/no': [false, 'no'],
  choice: ['small', 'small'],
  moment: ['2026-03-31T09:00:00Z', '31 March 2026'],
} as const;

type CustomType = keyof typeof VALUES;
const TYPES = Object.keys(VALUES) as CustomType[];
const keyOf = (type: CustomType) => `own_${type.replace(/\W/g, '_')}`;
const custom = Object.fromEntries(TYPES.map((type) => [keyOf(type), VALUES[type][0]]));

/** Where a letter finds each record that has custom fields. */
const RECORDS: readonly [
  record: CustomFieldData['record'],
  from: `${StartingKind}:${string}`,
  body: (path: string) => string,
][] = [
  ['business', 'client:c1', (path) => `{{business.${path}}}`],
  ['member', 'client:c1', (path) => `{{sender.${path}}}`],
  ['client', 'client:c1', (path) => `{{client.${path}}}`],
  ['item', 'client:c1', (path) => `{{#client.items | first 1}}{{${path}}}{{/client.items}}`],
  ['project', 'project:p1', (path) => `{{project.${path}}}`],
  ['partner', 'project:p1', (path) => `{{#project.partners}}{{${path}}}{{/project.partners}}`],
  ['booking', 'booking:b1', (path) => `{{booking.${path}}}`],
  ['invoice', 'invoice:K-101', (path) => `{{invoice.${path}}}`],
];

const records = (
  record: CustomFieldData['record'],
  more: Partial<RecordsFile['business']>,
): Partial<RecordsFile> => ({
  ...SAMPLE,
  business: {
    ...SAMPLE.business,
    ...(record === 'business' ? { custom } : {}),
    ...more,
  } as RecordsFile['business'],
  members: SAMPLE.members!.map((one) => ({ ...one, custom })),
  partners: [{ key: 'mover', name: 'Gantry & Rill', custom }],
  clients: SAMPLE.clients!.map((one) => ({
    ...one,
    custom,
    items: one.items!.map((item) => ({ ...item, custom })),
  })),
  projects: SAMPLE.projects!.map((one) => ({ ...one, partners: ['mover'], custom })),
  bookings: SAMPLE.bookings!.map((one) => ({ ...one, custom })),
  invoices: SAMPLE.invoices!.map((one) => ({ ...one, custom })),
});

describe.each(RECORDS)('a custom field of the %s', (record, from, body) => {
  const custom_fields = TYPES.map((type): CustomFieldData => ({
    record,
    key: keyOf(type),
    label: `its ${type}`,
    type,
    ...(type === 'choice' ? { choices: ['small', 'large'] } : {}),
  }));
  const own = records(record, { custom_fields });
  const wishes = { sender: own.members![0]! };

  it.each(TYPES)('that is %s is written as one, with its note', (type) => {
    const filled = fillSample(body(`custom.${keyOf(type)}`), { from, records: own, wishes });
    expect(filled.text.trim()).toBe(VALUES[type][1]);
    expect(filled.notes[0]).toMatchObject({ label: `its ${type}`, value: VALUES[type][1] });
  });

  it('takes the steps of its type and no others', () => {
    const takes = (key: CustomType, steps: string) =>
      problemsOf(body(`custom.${keyOf(key)} | ${steps}`), { from, records: own, wishes });
    expect(takes('money', 'whole money')).toEqual([]);
    expect(takes('date', 'plus 3 working days | weekday')).toEqual([]);
    expect(takes('yes/no', 'as "a" "b"')).toEqual([]);
    expect(takes('text', 'whole money')).toHaveLength(1);
    expect(takes('choice', 'weekday')).toHaveLength(1);
  });
});
