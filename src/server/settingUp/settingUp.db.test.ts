import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { NewBusiness } from '../../core/contract/settingUp';
import type { OwnDetails } from '../../core/contract/records/ownDetails';
import { temporaryDatabase, type TemporaryDatabase } from '../../data/test/temporaryDatabase';
import { makeClients } from '../clients/makeClients';
import { connection } from '../connection';
import { listRecords } from '../lists/listRecords';
import { recordPage } from '../records/recordPage';
import { keepMemberDetails, memberDetails } from '../settings/memberDetails';
import { keepOwnDetails, ownDetails } from '../settings/ownDetails';
import { currentMember, type CurrentMember } from '../signIn/currentMember';
import { NotAllowed } from '../signIn/rights';
import { giveNewPassword } from '../signIn/newPassword';
import { signIn } from '../signIn/signIn';
import { templatesByGroup } from '../templates/templatesByGroup';
import { firstTrial } from './firstTrial';
import { invite, isInvitation, mayInvite } from './invitations';
import { isNobodyHere, makeBusiness } from './makeBusiness';
import { noteStep, settingUp } from './setUp';

const ASKED: NewBusiness = {
  name: 'Quay Gardens',
  country: 'DE',
  full_name: 'Ada Reyes',
  email: 'ada@quay.example',
  password: 'a few good words',
};

/** SHA-256 of “abc”. */
const LOGO = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';

let database: TemporaryDatabase;
let ada: CurrentMember;

beforeAll(async () => {
  database = await temporaryDatabase();
  process.env.DATABASE_URL = database.url;
  const both = await Promise.all([makeBusiness(ASKED), makeBusiness({ ...ASKED, name: 'Another' })]);
  const [made, ...more] = both.flatMap((one) => (one.result === 'made' ? one.session : []));
  expect(more).toEqual([]);
  ada = (await currentMember(made!.token))!;
});

afterAll(async () => {
  await connection().close();
  await database.drop();
});

describe('the first business', () => {
  it('is made once, with its owner signed in', async () => {
    expect(ada).toMatchObject({ full_name: 'Ada Reyes', role: 'owner', words: { booking: 'booking' } });
    expect(await isNobodyHere()).toBe(false);
    expect(await makeBusiness(ASKED)).toEqual({ result: 'closed' });
    expect(await signIn('ADA@quay.example', 'a few good words')).toHaveProperty('token');
  });

  it('writes as its country does', async () => {
    const { details, currencyStays } = await ownDetails(ada);
    expect(details).toMatchObject({ locale: 'de-DE', time_zone: 'Europe/Berlin', currency: 'EUR' });
    expect(currencyStays).toBe(false);
  });

  it('has templates from its first day, and knows what is made up in them', async () => {
    const groups = await templatesByGroup(ada);
    expect(groups.map(({ name }) => name)).toEqual([
      'Enquiries',
      'Bookings',
      'Money',
      'Afterwards',
      'Everyday',
    ]);
    const unfinished = groups.flatMap(({ templates }) => templates).filter((one) => one.unfinished);
    expect(unfinished.map(({ name }) => name)).toEqual([
      'Thank you for asking',
      'Booking confirmed',
      'See you soon',
      'All done',
    ]);
  });
});

describe('another business', () => {
  const OTHER: NewBusiness = { ...ASKED, full_name: 'Bo Lind', email: 'bo@lind.example' };

  it('is made by whoever an owner of the first one invited, once', async () => {
    expect(await mayInvite(ada)).toBe(true);
    const invited = await invite(ada);
    expect(await isInvitation(invited)).toBe(true);
    expect(await isInvitation('nobody invited')).toBe(false);
    // An address is one person's: the invitation is good still.
    expect(await makeBusiness({ ...OTHER, email: 'ADA@quay.example', invited })).toEqual({ result: 'known' });
    const both = await Promise.all([
      makeBusiness({ ...OTHER, invited }),
      makeBusiness({ ...OTHER, email: 'other@lind.example', invited }),
    ]);
    expect(both.map(({ result }) => result).sort()).toEqual(['closed', 'made']);
    expect(await isInvitation(invited)).toBe(false);
    const made = both.find((one) => one.result === 'made') as Extract<
      (typeof both)[number],
      { session: unknown }
    >;
    const bo = (await currentMember(made.session.token))!;
    expect(bo).toMatchObject({ full_name: 'Bo Lind', role: 'owner' });
    expect(bo.business_id).not.toBe(ada.business_id);
    // Called the same, it is told by its key.
    expect((await listRecords(bo, 'client')).entries).toEqual([]);
    expect((await templatesByGroup(bo)).length).toBeGreaterThan(3);
    expect(await mayInvite(bo)).toBe(false);
    await expect(invite(bo)).rejects.toThrow(NotAllowed);
    await expect(invite({ ...ada, role: 'member' })).rejects.toThrow(NotAllowed);
  });

  it('is not made with an invitation that is too old', async () => {
    const invited = await invite(ada);
    const week = vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 8 * 86_400_000);
    try {
      expect(await isInvitation(invited)).toBe(false);
      expect(await makeBusiness({ ...OTHER, email: 'late@lind.example', invited })).toEqual({
        result: 'closed',
      });
    } finally {
      week.mockRestore();
    }
  });
});

describe('a new password', () => {
  it('is for whoever signs in with the address, and ends where they were signed in', async () => {
    const session = await signIn('ada@quay.example', 'a few good words');
    const token = (session as { token: string }).token;
    expect(await currentMember(token)).toBeDefined();
    const password = await giveNewPassword(database.url, 'ADA@quay.example');
    expect(password).toMatch(/^[a-z2-9]{5}(?:-[a-z2-9]{5}){3}$/);
    expect(await currentMember(token)).toBeUndefined();
    expect(await signIn('ada@quay.example', password, 'elsewhere')).toHaveProperty('token');
    await expect(giveNewPassword(database.url, 'nobody@quay.example')).rejects.toThrow(
      'Nobody signs in with nobody@quay.example here.',
    );
  });
});

describe('setting up', () => {
  it('goes on step by step until all is done', async () => {
    expect(await settingUp(ada)).toEqual({});
    await noteStep(ada, 'business', 'done');
    await noteStep(ada, 'clients', 'skipped');
    expect(await settingUp(ada)).toEqual({ business: 'done', clients: 'skipped' });
    for (const step of ['member', 'sending', 'templates', 'trial'] as const)
      await noteStep(ada, step, 'done');
    expect(await settingUp(ada)).toHaveProperty('clients', 'skipped');
    await noteStep(ada, 'clients', 'done');
    expect(await settingUp(ada)).toBeUndefined();
    // What is over stays over.
    await noteStep(ada, 'clients', 'skipped');
    expect(await settingUp(ada)).toBeUndefined();
  });
});

describe('clients jotted down', () => {
  it('are there, and none is made twice by pressing twice', async () => {
    expect((await firstTrial(ada)).client).toBeUndefined();
    const clients = [
      {
        name: 'Oda and Per Lind',
        kind: 'household' as const,
        email: 'lind@post.example',
        phone: '01632 960100',
      },
      { name: 'Oda and Per Lind', kind: 'household' as const, email: 'other@post.example' },
    ];
    const [one, two] = await Promise.all([makeClients(ada, clients), makeClients(ada, clients)]);
    const [first, second] = one.made.length ? [one, two] : [two, one];
    expect(first.made.map(({ key }) => key)).toEqual(['oda-and-per-lind', 'oda-and-per-lind-2']);
    expect(second).toEqual({ made: [], there: ['Oda and Per Lind', 'Oda and Per Lind'] });
    expect((await listRecords(ada, 'client')).entries).toHaveLength(2);
    const page = await recordPage(ada, { kind: 'client', key: 'oda-and-per-lind' });
    expect(page?.view.title).toBe('Oda and Per Lind');
    const { client, template } = await firstTrial(ada);
    expect(client?.name).toBe('Oda and Per Lind');
    expect(template).toMatchObject({ name: 'Is it time again', members: [{ name: 'Ada Reyes' }] });
  });
});

describe('own details', () => {
  it('are kept, and the later of two writers is told', async () => {
    const { details } = await ownDetails(ada);
    const mine: OwnDetails = { ...details, phone: '030 123456', address: { town: 'Saltby' } };
    expect(await keepOwnDetails(ada, mine)).toEqual({ result: 'kept', version: details.version + 1 });
    const later = await keepOwnDetails(ada, { ...details, phone: '030 654321' });
    expect(later).toMatchObject({
      result: 'overtaken',
      now: { phone: '030 123456', version: details.version + 1 },
    });
    // What is taken out is no fact any more.
    const { phone: _, ...without } = (await ownDetails(ada)).details;
    await keepOwnDetails(ada, without);
    expect((await ownDetails(ada)).details).not.toHaveProperty('phone');
  });

  it('have a logo that is a picture of the business', async () => {
    const { details } = await ownDetails(ada);
    const none = 'a'.repeat(64);
    expect(await keepOwnDetails(ada, { ...details, logo: none })).toMatchObject({
      result: 'wrong',
      field: 'logo',
    });
    await database.inBusiness(ada.business_id, () =>
      database.models.file.create({
        ...{ business_id: ada.business_id, sha256: LOGO, media_type: 'image/png', size: 3 },
        content: Buffer.from('abc'),
      }),
    );
    expect(await keepOwnDetails(ada, { ...details, logo: LOGO })).toHaveProperty('result', 'kept');
    const kept = (await ownDetails(ada)).details;
    expect(kept.logo).toBe(LOGO);
    const { logo: _, ...without } = kept;
    await keepOwnDetails(ada, without);
    expect((await ownDetails(ada)).details).not.toHaveProperty('logo');
  });

  it('keep their currency once there are sums', async () => {
    const { details } = await ownDetails(ada);
    expect(await keepOwnDetails(ada, { ...details, currency: 'GBP' })).toHaveProperty('result', 'kept');
    await database.inBusiness(ada.business_id, () =>
      database.sequelize.query(
        `insert into project (business_id, id, key, client_id, title, status, value)
         select business_id, gen_random_uuid(), 'p', id, 'Hedges', 'active', 10000 from client limit 1`,
      ),
    );
    const now = (await ownDetails(ada)).details;
    expect(await keepOwnDetails(ada, { ...now, currency: 'EUR' })).toMatchObject({
      result: 'wrong',
      field: 'currency',
    });
    expect((await ownDetails(ada)).currencyStays).toBe(true);
  });

  it('are an owner’s to change', async () => {
    const { details } = await ownDetails(ada);
    await expect(keepOwnDetails({ ...ada, role: 'member' }, details)).rejects.toThrow(NotAllowed);
  });
});

describe('what letters say of a member', () => {
  it('is one’s own to change, and an owner’s', async () => {
    const details = (await memberDetails(ada, ada.key))!;
    expect(await keepMemberDetails(ada, ada.key, { ...details, title: 'Gardener' })).toHaveProperty(
      'version',
      2,
    );
    expect(await memberDetails(ada, ada.key)).toMatchObject({ title: 'Gardener', full_name: 'Ada Reyes' });
    expect(await keepMemberDetails(ada, ada.key, details)).toMatchObject({
      result: 'overtaken',
      now: { title: 'Gardener' },
    });
    await expect(
      keepMemberDetails({ ...ada, key: 'other', role: 'member' }, ada.key, details),
    ).rejects.toThrow(NotAllowed);
    expect(await keepMemberDetails(ada, 'nobody', details)).toEqual({ result: 'gone' });
  });

  it('has an address that nobody else signs in with', async () => {
    await database.inBusiness(ada.business_id, () =>
      database.sequelize.query(
        `insert into member (business_id, id, key, full_name, email, password_hash)
         values ('${ada.business_id}', gen_random_uuid(), 'tom', 'Tom Reyes', 'tom@quay.example', 'none')`,
      ),
    );
    const details = (await memberDetails(ada, ada.key))!;
    expect(await keepMemberDetails(ada, ada.key, { ...details, email: 'Tom@quay.example' })).toMatchObject({
      result: 'wrong',
      field: 'email',
    });
  });
});
