import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
  // A second business, whose rows the first must never reach.
  await database.sequelize.query(`
    insert into business (id, key, name) values ('00000000-0000-8000-8000-000000000001', 'other', 'Other');
    insert into client (business_id, id, key, name) values
      ('00000000-0000-8000-8000-000000000001', '00000000-0000-8000-8000-000000000002', 'stranger', 'Stranger');
  `);
});
afterAll(() => database.drop());

const OTHER = "(select id from client where key = 'stranger')";
const clientId = (key: string) => `(select id from client where key = '${key}')`;

describe('the database refuses', () => {
  it.each([
    [
      'a client of another business on an invoice',
      `update invoice set client_id = ${OTHER} where key = 'LPC-1059'`,
      'invoice_business_id_client_id_fkey',
    ],
    [
      'a project of another client on a booking',
      "update booking set project_id = (select id from project where key = 'reyes-restoration') where key = 'b-hartigan'",
      'booking_business_id_client_id_project_id_fkey',
    ],
    [
      'an item of another client on a booking',
      `update booking_item set item_id = (select id from item where key = 'reyes-grand') where booking_id = (select id from booking where key = 'b-hartigan')`,
      'booking_item_business_id_client_id_item_id_fkey',
    ],
    [
      'a contact of another client on a project',
      "update project_contact set contact_id = (select id from contact where key = 'greta') where project_id = (select id from project where key = 'college-regulation')",
      'project_contact_business_id_client_id_contact_id_fkey',
    ],
    [
      'the same key twice',
      "update client set key = 'reyes' where key = 'hartigan'",
      'client_business_id_key_key',
    ],
    [
      'the same invoice number twice',
      "update invoice set number = 'LPC-1001' where number = 'LPC-1002'",
      'invoice_business_id_number_key',
    ],
    [
      'two members who sign in alike',
      "update member set email = 'IMKE@larkfield.example' where key = 'teo'",
      'member_signs_in_by',
    ],
    [
      'an address that is none',
      "update client set email = 'oda at home' where key = 'hartigan'",
      'email_address_check',
    ],
    [
      'an end before the start',
      "update booking set ends_at = starts_at where key = 'b-hartigan'",
      'booking_check',
    ],
    [
      'a due date before the issue',
      "update invoice set due_on = issued_on - 1 where key = 'LPC-1059'",
      'invoice_check1',
    ],
    [
      'a sent invoice without a date',
      "update invoice set issued_on = null where key = 'LPC-1059'",
      'invoice_check',
    ],
    [
      'a state that there is not',
      "update booking set status = 'maybe' where key = 'b-hartigan'",
      'booking_status_check',
    ],
    [
      'a use of a contact that there is not',
      "update contact set uses = '{lunch}' where key = 'hale'",
      'contact_uses_check',
    ],
    ['a payment of nothing', 'update payment set amount = 0 where position = 0', 'payment_amount_check'],
    ['a client removed under its invoices', "delete from client where key = 'hartigan'", 'foreign key'],
    [
      'a custom field that nobody defined',
      `update client set custom = '{"shoe_size": 42}' where key = 'hartigan'`,
      'there is no custom field "shoe_size" on a client',
    ],
    [
      'a custom value of another type',
      `update item set custom = '{"humidity_system": "yes"}' where key = 'hartigan-upright'`,
      'custom field "humidity_system" of a item must be yes/no',
    ],
    [
      'a document that is none',
      `update template_version set document = '{"type": "page"}'`,
      'template_version_document_check',
    ],
    [
      'a template without its version',
      "update template set current_version = 9 where key = 'short-note'",
      'template_has_its_version',
    ],
    [
      'two templates of one name',
      "update template set name = 'VISIT COMING UP' where key = 'visit-confirmed'",
      'template_name',
    ],
    [
      'the same message twice',
      "update message set message_id = (select message_id from message where subject like 'Re:%' limit 1)",
      'message_business_id_message_id_key',
    ],
    [
      'an incoming message that was sent',
      "update message set status = 'sent' where direction = 'in'",
      'message_check',
    ],
    [
      'a second default signature',
      "insert into signature (business_id, id, key, member_id, name, is_default, document, document_schema) select business_id, gen_random_uuid(), 'another', member_id, 'Another', true, document, document_schema from signature where name = 'Imke'",
      'signature_default',
    ],
    [
      'a second usual signature of the house',
      "insert into signature (business_id, id, key, name, is_default, document, document_schema) select business_id, gen_random_uuid(), 'house-two', 'House two', true, document, document_schema from signature where name = 'House'",
      'signature_usual_of_house',
    ],
    [
      'a file that is not its hash',
      "insert into file select id, repeat('a', 64), 'text/plain', 1, 'x' from business where key = 'larkfield'",
      'file_check1',
    ],
    [
      'a session that is over when it begins',
      `insert into session select business_id, gen_random_uuid(), id, repeat('a', 64), now(), now() from member where key = 'imke'`,
      'session_check',
    ],
  ])('%s', async (_, sql, constraint) => {
    const error = await database.sequelize.query(sql).then(
      () => 'nothing was refused',
      (refusal: Error & { parent?: { message: string; constraint?: string } }) =>
        `${refusal.message} ${refusal.parent?.message} ${refusal.parent?.constraint}`,
    );
    expect(error).toContain(constraint);
  });
});

it('what belongs to a client goes with it', async () => {
  await database.sequelize.query(`insert into item (business_id, id, client_id, key, position, name)
    select business_id, gen_random_uuid(), id, 'piano', 0, 'piano' from client where key = 'stranger'`);
  await database.sequelize.query(`delete from client where id = ${clientId('stranger')}`);
  expect(await database.models.item.count({ where: { key: 'piano' } })).toBe(0);
});
