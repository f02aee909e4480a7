import { seeded } from '../../src/core/test/seeded';
import type { InvoiceData, RecordsFile } from '../../src/core/records/recordsFile';

const GIVEN = ['Ada', 'Tomás', 'Wen', 'Caoimhe', 'Joost', 'Oda', 'Marta', 'Dez'];
const FAMILY = ['Reyes', 'de la Cruz', 'Lin', 'Ó Briain', 'van der Meulen', 'Hartigan', 'Quist & Daughters'];
const WORK = [
  'tuning',
  'new bass strings',
  'regulation <both actions>',
  'a pitch raise',
  'voicing & cleaning',
];
const TOWNS = ['Overstrand', 'Thornholt', 'Saltby', 'Marrow Quay'];

/** So many clients, each with a project, a visit, and an invoice of one to six lines or so many, some of it paid. */
export function manyRecords(count: number, lineCount?: number): RecordsFile {
  const random = seeded(20261125);
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const day = (year: number) =>
    `${year}-${String(whole(1, 12)).padStart(2, '0')}-${String(whole(1, 28)).padStart(2, '0')}`;
  const file: Required<Pick<RecordsFile, 'clients' | 'projects' | 'bookings' | 'invoices'>> & RecordsFile = {
    business: {
      name: 'Larkfield Piano Care',
      email: 'office@larkfield.example',
      locale: 'en-GB',
      currency: 'GBP',
      time_zone: 'Europe/London',
    },
    members: [
      {
        key: 'imke',
        given_name: 'Imke',
        family_name: 'Sandoval',
        title: 'Piano technician',
        email: 'imke@larkfield.example',
      },
    ],
    clients: [],
    projects: [],
    bookings: [],
    invoices: [],
  };
  for (let i = 0; i < count; i++) {
    const given = one(GIVEN);
    const family = one(FAMILY);
    const client = `c${i}`;
    const project = `p${i}`;
    file.clients.push({
      key: client,
      name: `${given} ${family}`,
      given_name: given,
      family_name: family,
      email: `${client}@client.example`,
      address: { town: one(TOWNS) },
    });
    file.projects.push({
      key: project,
      client,
      title: `the ${one(WORK)}`,
      status: 'active',
      notes: `agreed with ${one(GIVEN)} "by word of mouth"`,
    });
    file.bookings.push({
      key: `b${i}`,
      client,
      project,
      service: one(['tuning visit', 'workshop visit', 'pitch raise']),
      status: 'done',
      starts_at: `${day(2024)}T${String(whole(7, 17)).padStart(2, '0')}:30:00Z`,
    });
    const lines = Array.from({ length: lineCount ?? whole(1, 6) }, () => ({
      description: one(WORK),
      quantity: whole(1, 12),
      unit_price: whole(500, 250_000),
    }));
    const total = lines.reduce((sum, { quantity, unit_price }) => sum + quantity * unit_price, 0);
    file.invoices.push({
      key: `i${i}`,
      number: `LPC-${1000 + i}`,
      client,
      project,
      status: 'sent',
      issued_on: day(2025),
      due_on: day(2026),
      lines,
      payments: [{ paid_on: day(2026), amount: Math.floor(total * random() * 0.9) + 1 }],
    } satisfies InvoiceData);
  }
  // As records are that were read, whose texts are each in one piece.
  return JSON.parse(JSON.stringify(file)) as RecordsFile;
}
