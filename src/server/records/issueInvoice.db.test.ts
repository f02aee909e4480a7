import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import type { InvoiceFacts } from '../../core/contract/records/invoice';
import { connection } from '../connection';
import { keepWays } from '../settings/workWays';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { formChoices } from './formChoices';
import { changeInvoice } from './issueInvoice';
import { keepRecord, makeRecord, recordFacts } from './keepRecord';

demonstrationDatabase();

const DRAFT: InvoiceFacts = {
  version: 1,
  client: 'hartigan',
  status: 'draft',
  lines: [{ description: 'Tuning', unit_price: 7800, tax_rate: '20' }],
  instalments: [],
};

async function draft(facts: Partial<InvoiceFacts> = {}): Promise<string> {
  const made = await makeRecord(imke, 'invoice', randomUUID(), { ...DRAFT, ...facts });
  return (made as { key: string }).key;
}

const numberOf = (key: string) =>
  connection().inBusiness(imke.business_id, async () => {
    const row = await connection().models.invoice.findOne({ where: { key }, raw: true });
    return (row as unknown as { number: string | null }).number;
  });

it('twenty who issue at once get twenty numbers, none left out and none twice', async () => {
  const keys: string[] = [];
  for (let i = 0; i < 20; i++) keys.push(await draft());
  expect(new Set(keys).size).toBe(20);
  expect(await numberOf(keys[0]!)).toBeNull();
  const answers = await Promise.all(keys.map((key) => changeInvoice(imke, key, 1, 'sent')));
  const numbers = answers.map((answer) => (answer as { number?: string }).number).sort();
  expect(numbers).toEqual(Array.from({ length: 20 }, (_, i) => `LPC-${1061 + i}`));
  expect((await formChoices(imke)).ways.invoice_next).toBe(1081);
});

it('one that fails takes no number', async () => {
  const { ways } = await formChoices(imke);
  const key = await draft();
  expect(await changeInvoice(imke, key, 7, 'sent')).toMatchObject({ result: 'overtaken' });
  expect(await changeInvoice(imke, 'no-such', 1, 'sent')).toMatchObject({ result: 'gone' });
  expect((await formChoices(imke)).ways.invoice_next).toBe(ways.invoice_next);
  // The same press twice is one.
  const [one, two] = await Promise.all([
    changeInvoice(imke, key, 1, 'sent'),
    changeInvoice(imke, key, 1, 'sent'),
  ]);
  expect([one.result, two.result].sort()).toEqual(['done', 'overtaken']);
  expect((await formChoices(imke)).ways.invoice_next).toBe(ways.invoice_next + 1);
});

it('its days follow from the day on which it is issued and the usual days to pay', async () => {
  const key = await draft();
  await changeInvoice(imke, key, 1, 'sent');
  const { issued_on, due_on } = (await recordFacts(imke, 'invoice', key))!;
  expect(Date.parse(due_on!) - Date.parse(issued_on!)).toBe(14 * 86_400_000);
  const dated = await draft({ issued_on: '2026-03-01', due_on: '2026-03-05' });
  await changeInvoice(imke, dated, 1, 'sent');
  expect(await recordFacts(imke, 'invoice', dated)).toMatchObject({
    issued_on: '2026-03-01',
    due_on: '2026-03-05',
    status: 'sent',
  });
});

it('a number that is taken already is passed over, and a form of numbers holds from the next on', async () => {
  const { ways } = await formChoices(imke);
  expect(
    await keepWays(imke, { ...ways, invoice_prefix: '2026-', invoice_next: 7, invoice_digits: 3 }),
  ).toMatchObject({ result: 'kept' });
  const keys = [await draft(), await draft()];
  await connection().inBusiness(imke.business_id, () =>
    connection().models.invoice.update({ number: '2026-008' }, { where: { key: 'LPC-1060' } }),
  );
  expect(await changeInvoice(imke, keys[0]!, 1, 'sent')).toEqual({ result: 'done', number: '2026-007' });
  expect(await changeInvoice(imke, keys[1]!, 1, 'sent')).toEqual({ result: 'done', number: '2026-009' });
  // Whoever had the settings open is told that numbers were given.
  expect(await keepWays(imke, { ...ways, version: ways.version + 1 })).toMatchObject({
    result: 'overtaken',
    now: { invoice_next: 10 },
  });
});

it('what is void stays void', async () => {
  const key = await draft();
  await changeInvoice(imke, key, 1, 'sent');
  expect(await changeInvoice(imke, key, 2, 'void')).toEqual({ result: 'done' });
  const facts = (await recordFacts(imke, 'invoice', key))!;
  expect(facts.status).toBe('void');
  expect(await changeInvoice(imke, key, 3, 'sent')).toMatchObject({ result: 'overtaken' });
  expect(await keepRecord(imke, 'invoice', key, facts)).toMatchObject({ result: 'wrong' });
  // A draft is removed, not made void.
  expect(await changeInvoice(imke, await draft(), 1, 'void')).toMatchObject({ result: 'overtaken' });
});
