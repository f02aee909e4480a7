import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { expect, it } from 'vitest';
import type { InvoiceFacts } from '../../core/contract/records/invoice';
import { changeInvoice } from '../records/issueInvoice';
import { keepRecord, makeRecord, recordFacts } from '../records/keepRecord';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { invoicePaper } from './invoicePaper';

demonstrationDatabase();

/** What a reader of PDFs finds in it, line by line, without its layout. */
async function read(key: string): Promise<string> {
  const paper = (await invoicePaper(imke, key))!;
  expect(paper.content.subarray(0, 5).toString()).toBe('%PDF-');
  const folder = await mkdtemp(path.join(tmpdir(), 'paper-'));
  try {
    const file = path.join(folder, 'paper.pdf');
    await writeFile(file, paper.content);
    const { stdout } = await promisify(execFile)('pdftotext', ['-layout', file, '-']);
    return stdout.replace(/ +/g, ' ');
  } finally {
    await rm(folder, { recursive: true });
  }
}

async function made(facts: Partial<InvoiceFacts>): Promise<string> {
  const draft: InvoiceFacts = {
    version: 1,
    client: 'hartigan',
    status: 'draft',
    lines: [{ description: 'Tuning', unit_price: 7800 }],
    instalments: [],
  };
  return ((await makeRecord(imke, 'invoice', randomUUID(), { ...draft, ...facts })) as { key: string }).key;
}

it('says from whom, to whom, for what and how much, to the penny', async () => {
  const key = await made({
    issued_on: '2026-03-02',
    due_on: '2026-03-16',
    bill_to: { street: ['4 Chandlers Row'], town: 'Saltby', postcode: 'LK2 4QB' },
    lines: [
      { description: 'Key tops', quantity: '52', unit_price: 650, tax_rate: '20' },
      {
        description: 'Strings, by the metre',
        quantity: '1.5',
        unit_price: 333,
        tax_rate: '5',
        discount: '10',
      },
    ],
  });
  expect(await read(key)).toMatch(/Draft/);
  const { number } = (await changeInvoice(imke, key, 1, 'sent')) as { number: string };
  const text = await read(key);
  for (const words of [
    'Larkfield Piano Care',
    `Invoice ${number}`,
    'Oda Hartigan',
    '4 Chandlers Row',
    '2 March 2026',
    '16 March 2026',
    'Key tops 52 £6.50 20% £338.00',
    // 1.5 × 3.33 less 10 % is 4.4955: half to even, once.
    'Strings, by the metre 1.5 £3.33 10% 5% £4.50',
    'Net £342.50',
    'Tax 20% £67.60',
    // 5 % of 4.50 is 22.5 pence, half to even.
    'Tax 5% £0.22',
    'Total £410.32',
    'Sort code 00-00-00, account 12345678',
    'Larkfield Piano Care Ltd',
    'Page 1 of 1',
  ])
    expect(text).toContain(words);
  expect(text).not.toMatch(/Draft|Void/);
});

it('what was paid and what is left are said, and parts with their days', async () => {
  const text = await read('LPC-1053');
  expect(text).toMatch(/Paid -£[\d,.]+/);
  expect(text).toMatch(/To pay £3,820\.00/);
  expect(text).toMatch(/Payable in parts/);
  expect(await read('LPC-1051')).not.toMatch(/How to pay/);
});

it('in the words of the client’s language, names of other scripts whole', async () => {
  const client = (await recordFacts(imke, 'client', 'hartigan'))!;
  await keepRecord(imke, 'client', 'hartigan', { ...client, name: 'Łucja Αθηνά Жанна', language: 'de' });
  const text = await read(await made({ issued_on: '2026-03-02' }));
  for (const words of ['Rechnung', 'Łucja Αθηνά Жанна', '2. März 2026', 'Gesamt 78,00 £', 'Seite 1 von 1'])
    expect(text).toContain(words);
});

it('a hundred lines go on over pages, each with its head', async () => {
  const lines = Array.from({ length: 100 }, (_, i) => ({ description: `Line ${i + 1}`, unit_price: 101 }));
  const text = await read(await made({ client: 'reyes', lines }));
  expect(text.match(/Description/g)!.length).toBeGreaterThan(1);
  expect(text).toContain('Line 100 £1.01 £1.01');
  expect(text).toMatch(/Total\s+£101\.00/);
  expect(await invoicePaper(imke, 'no-such')).toBeUndefined();
});
