import { expect, it } from 'vitest';
import type { OwnField } from '../../core/contract/records/ownFields';
import { keepRecord, recordFacts } from '../records/keepRecord';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { keepFields, keepLinks, ownFields, ownLinks } from './ownFields';
import { saidIn } from './saidIn';

demonstrationDatabase();

const keep = async (change: (fields: OwnField[]) => OwnField[]) => {
  const { version, fields } = await ownFields(imke);
  return keepFields(imke, { version, fields: change(fields) });
};

it('a field is there from the moment it is kept, under a key that a new label does not change', async () => {
  expect(
    await keep((fields) => [
      ...fields,
      {
        record: 'booking',
        label: 'Façade No. 2',
        type: 'choice',
        choices: ['north', 'south'],
        help: 'As seen from the street.',
      },
    ]),
  ).toMatchObject({ result: 'kept' });
  const made = (await ownFields(imke)).fields.at(-1)!;
  expect(made).toMatchObject({ key: 'facade_no_2', label: 'Façade No. 2' });
  const booking = (await recordFacts(imke, 'booking', 'b01'))!;
  await keepRecord(imke, 'booking', 'b01', { ...booking, custom: { facade_no_2: 'north' } });
  await keep((fields) =>
    fields.map((field) => (field.key === made.key ? { ...field, label: 'Front' } : field)),
  );
  expect((await ownFields(imke)).fields.at(-1)).toMatchObject({ key: 'facade_no_2', label: 'Front' });
  expect((await recordFacts(imke, 'booking', 'b01'))?.custom).toEqual({ facade_no_2: 'north' });
});

it('what records say stays: its type, and a choice that was made', async () => {
  const change = (next: Partial<OwnField>) =>
    keep((fields) => fields.map((field) => (field.key === 'facade_no_2' ? { ...field, ...next } : field)));
  expect(await change({ choices: ['south'] })).toMatchObject({
    result: 'wrong',
    field: expect.stringMatching(/^fields\.\d+\.choices$/) as string,
    error: '“north” is chosen once: it stays.',
  });
  expect(await change({ type: 'number' })).toMatchObject({
    error: 'There are values of it by now: it stays choice.',
  });
  expect(await change({ choices: ['north', 'east'] })).toMatchObject({ result: 'kept' });
});

it('a field that goes takes its values along', async () => {
  expect(await keep((fields) => fields.filter(({ key }) => key !== 'facade_no_2'))).toMatchObject({
    result: 'kept',
  });
  expect((await recordFacts(imke, 'booking', 'b01'))?.custom ?? {}).toEqual({});
});

it('a field and a link that letters say stay, and it is told where', async () => {
  const said = await saidIn(imke);
  const { fields } = await ownFields(imke);
  const used = fields.find(({ record, key }) => said[`${record}.custom.${key}`])!;
  expect(used).toBeDefined();
  expect(
    await keep((all) => all.filter((field) => field !== all.find(({ key }) => key === used.key))),
  ).toMatchObject({
    result: 'wrong',
    field: 'fields',
    error: expect.stringMatching(
      new RegExp(`^“${used.label}” stays\\. It is said in (?:template|passage) “.+`),
    ) as string,
  });
  const { version, links } = await ownLinks(imke);
  expect(
    await keepLinks(imke, { version, links: links.filter(({ key }) => key !== 'review') }),
  ).toMatchObject({
    result: 'wrong',
    error: expect.stringMatching(/^“our review page” stays\. It is said in template “/) as string,
  });
  expect(said['business.email']).toBeGreaterThan(0);
});

it('two fields of one name on one kind of record are refused, and so is a key that is none', async () => {
  const twice: OwnField = { record: 'project', label: 'Colour', type: 'text' };
  expect(await keep((fields) => [...fields, twice, { ...twice }])).toMatchObject({
    result: 'wrong',
    error: 'There is another of this name.',
  });
  expect(await keep((fields) => [...fields, { ...twice, key: 'none_of_ours' }])).toMatchObject({
    result: 'wrong',
  });
});

it('links are changed by their names and addresses, and keep their keys', async () => {
  const { version, links } = await ownLinks(imke);
  const changed = links.map((link) =>
    link.key === 'care' ? { ...link, name: 'our guide', address: 'https://larkfield.example/guide' } : link,
  );
  expect(
    await keepLinks(imke, {
      version,
      links: [...changed, { name: 'Our guide', address: 'https://larkfield.example/b' }],
    }),
  ).toEqual({ result: 'kept', version: version + 1 });
  expect((await ownLinks(imke)).links).toMatchObject([
    { key: 'review' },
    { key: 'care', name: 'our guide' },
    { key: 'our_guide' },
  ]);
  expect(await keepLinks(imke, { version, links })).toMatchObject({ result: 'overtaken' });
});
