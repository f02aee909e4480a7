import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import type { ClientFacts } from '../../core/contract/records/client';
import { NEW_CLIENT } from '../../core/contract/records/shownClient';
import { matchesOf } from '../bringing/bringing';
import { findRecords } from '../lists/listRecords';
import { clientParts } from '../records/clientParts';
import { keepRecord, recordFacts } from '../records/keepRecord';
import { recordPage } from '../records/recordPage';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { clientFacts, keepClient, makeClient } from './keepClient';

demonstrationDatabase();

const facts = (key: string) => clientFacts(imke, key) as Promise<ClientFacts>;

it('a client kept as it was is as it was', async () => {
  for (const key of ['college', 'hartigan', 'vollrath', 'wray']) {
    const before = await facts(key);
    const page = await recordPage(imke, { kind: 'client', key });
    expect(await keepClient(imke, key, before)).toEqual({ result: 'kept', version: before.version + 1 });
    expect(await facts(key)).toEqual({ ...before, version: before.version + 1 });
    // The business's own facts of them, and all that hangs on them, stand.
    expect((await recordPage(imke, { kind: 'client', key }))?.view).toEqual(page?.view);
  }
});

it('people and things come, change, change places and go, and what is absent is a fact that is not there', async () => {
  const { contacts, phone: _, ...college } = await facts('college');
  const [first, second, ...more] = contacts;
  await keepClient(imke, 'college', {
    ...college,
    contacts: [{ given_name: 'Ada', uses: ['main'] }, { ...second!, role: 'bursar' }, ...more],
  });
  const now = await facts('college');
  expect(now).not.toHaveProperty('phone');
  expect(now.contacts.map(({ key }) => key)).toEqual(['ada', second!.key, ...more.map(({ key }) => key)]);
  expect(now.contacts[1]).toMatchObject({ role: 'bursar', email: second!.email });
  expect(now.contacts.map(({ key }) => key)).not.toContain(first!.key);
});

it('a person who is named twice is there once, and once anew', async () => {
  const school = await facts('saltbyschool');
  const [first, ...others] = school.contacts;
  await keepClient(imke, 'saltbyschool', {
    ...school,
    contacts: [first!, { ...first!, role: 'twice' }, ...others],
  });
  const { contacts } = await facts('saltbyschool');
  expect(contacts).toHaveLength(school.contacts.length + 1);
  expect(new Set(contacts.map(({ key }) => key)).size).toBe(contacts.length);
  expect(contacts[0]).toEqual(first);
});

it('the later of two writers gets what the earlier one kept', async () => {
  const seen = await facts('quist');
  await keepClient(imke, 'quist', { ...seen, phone: '01632 960111' });
  expect(await keepClient(imke, 'quist', { ...seen, phone: '01632 960122' })).toMatchObject({
    result: 'overtaken',
    now: { phone: '01632 960111', version: seen.version + 1 },
  });
  expect(await keepClient(imke, 'nobody', seen)).toEqual({ result: 'gone' });
});

it('a thing that stands in bookings stays', async () => {
  const hartigan = await facts('hartigan');
  expect(await keepClient(imke, 'hartigan', { ...hartigan, items: [] })).toMatchObject({
    result: 'wrong',
    field: 'items',
    error: expect.stringMatching(
      /^the upright in the front room stands in \d+ bookings: it stays\.$/,
    ) as string,
  });
  expect((await facts('hartigan')).items).toHaveLength(1);
});

it('a business’s own facts are kept with a client and their things', async () => {
  const vollrath = await facts('vollrath');
  const [item, ...others] = vollrath.items;
  await keepClient(imke, 'vollrath', {
    ...vollrath,
    custom: { where_to_park: 'behind the barn' },
    items: [{ ...item!, custom: { ...item!.custom, last_pitch: 440 } }, ...others],
  });
  const now = await facts('vollrath');
  expect(now.custom).toEqual({ where_to_park: 'behind the barn' });
  expect(now.items[0]!.custom).toEqual({ ...item!.custom, last_pitch: 440 });
});

it('a new client has a key of its own, none that a page has', async () => {
  expect(await makeClient(imke, randomUUID(), { ...NEW_CLIENT, name: 'New' })).toBe('new-2');
  expect(
    await makeClient(imke, randomUUID(), { ...NEW_CLIENT, name: 'Édith Ashdown', responsible: 'teo' }),
  ).toBe('edith-ashdown');
  expect(await makeClient(imke, randomUUID(), { ...NEW_CLIENT, name: 'Edith Ashdown' })).toBe(
    'edith-ashdown-2',
  );
  expect(await facts('edith-ashdown')).toMatchObject({ responsible: 'teo', version: 1 });
});

it('a new client asked for twice under one id is one', async () => {
  const id = randomUUID();
  const asked = () => makeClient(imke, id, { ...NEW_CLIENT, name: 'Twice Pressed' });
  const [one, two] = await Promise.all([asked(), asked()]);
  expect([one, two, await asked()]).toEqual(['twice-pressed', 'twice-pressed', 'twice-pressed']);
});

it('who noted that a client asked for no letters is kept with the day, until it is taken back', async () => {
  const seen = await facts('quist');
  await keepClient(imke, 'quist', { ...seen, no_letters_since: '2026-02-01' });
  expect(await recordPage(imke, { kind: 'client', key: 'quist' })).toMatchObject({
    notedBy: 'Imke Sandoval',
  });
  const now = await facts('quist');
  expect(now.no_letters_since).toBe('2026-02-01');
  const { no_letters_since: _, ...without } = now;
  await keepClient(imke, 'quist', without);
  expect(await recordPage(imke, { kind: 'client', key: 'quist' })).not.toHaveProperty('notedBy');
});

it('what is open and stands at the address of a client moves along with it', async () => {
  const before = await facts('hartigan');
  const address = { street: ['9 Ropewalk'], town: 'Overstrand' };
  await keepClient(imke, 'hartigan', { ...before, address });
  const open = (await recordFacts(imke, 'booking', 'b-hartigan'))!;
  const done = (await recordFacts(imke, 'booking', 'b01'))!;
  expect([open.location, done.location]).toEqual([address, before.address]);
});

it('further numbers and addresses are kept with what they are for, shown, found by, and moved along with', async () => {
  const before = await facts('delacruz');
  const workshop = { street: ['3 Saltworks'], town: 'Overstrand' };
  await keepClient(imke, 'delacruz', {
    ...before,
    more_phones: [{ use: 'assistant', number: '01632 960177' }],
    more_addresses: [{ use: 'workshop', address: workshop }],
  });
  const { view } = (await recordPage(imke, { kind: 'client', key: 'delacruz' }))!;
  const said = Object.fromEntries(view.facts.map(({ label, value }) => [label, value]));
  expect(said).toMatchObject({
    'Telephone, assistant': '01632 960177',
    'Address, workshop': '3 Saltworks, Overstrand',
  });
  for (const words of ['01632 960177', 'assistant', 'workshop overstrand'])
    expect((await findRecords(imke, 'client', words)).entries.map(({ key }) => key)).toContain('delacruz');
  const [rung] = await matchesOf(imke, {
    kind: 'client',
    rows: [{ row: 1, emails: [], phones: ['+44 1632 960177'], names: [] }],
  });
  expect(rung?.clients).toEqual([expect.objectContaining({ key: 'delacruz', by: 'number' })]);

  // A visit can be there by a press, and goes along when the workshop moves.
  const parts = (await clientParts(imke, 'delacruz'))!;
  expect(parts.addresses).toEqual([['workshop', workshop]]);
  // The coming one is told first.
  const { key } = view.links.find(({ kind }) => kind === 'booking')!;
  const visit = (await recordFacts(imke, 'booking', key))!;
  expect(await keepRecord(imke, 'booking', key, { ...visit, location: workshop })).toMatchObject({
    result: 'kept',
  });
  const now = await facts('delacruz');
  const moved = { street: ['8 Mill Lane'], town: 'Saltby' };
  await keepClient(imke, 'delacruz', { ...now, more_addresses: [{ use: 'workshop', address: moved }] });
  expect((await recordFacts(imke, 'booking', key))!.location).toEqual(moved);
});
