import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import ICAL from 'ical.js';
import { expect, it } from 'vitest';
import { formatsOf } from '../../src/core/fill/formats/formatsOf';
import { calendarEntry } from '../../src/core/papers/calendarEntry';
import { paperOf } from '../../src/core/papers/paperOf';
import { startOf } from '../../src/core/records/recordBook';
import { startsIn } from '../../src/core/records/startsIn';
import type { Situation, StartingPoint } from '../../src/core/records/which/situation';
import type { Paper } from '../../src/core/template/papers';
import { printInvoice } from '../../src/server/papers/printInvoice';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';

const FOLDER = path.join(import.meta.dirname, '../../src/data/demonstration');

const desk = await demonstrationDesk(FOLDER, Date.parse('2026-11-25T09:00:00Z'));

/** Every record that a template with a paper fits, with what its letter is filled from. */
function* everyPaper(paper: Paper): Generator<{ template: string; situation: Situation }> {
  for (const { key, head } of desk.facts.templates) {
    if (!head.attach?.includes(paper)) continue;
    for (const from of startsIn(desk.book, head.startsFrom)) {
      const start: StartingPoint = { kind: head.startsFrom, key: from };
      const situation = desk.situation(start, { template: key })!;
      if (desk.fitting(situation, []).fitting.some((fit) => fit.key === key))
        yield { template: head.name, situation };
    }
  }
}

it('the invoice of every fitting letter, read back: its number, whom it is for, its sums', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'papers-'));
  const file = path.join(folder, 'paper.pdf');
  let read = 0;
  try {
    for (const { situation } of everyPaper('invoice pdf')) {
      const of = paperOf('invoice pdf', situation);
      if (of.paper !== 'invoice pdf' || 'lacks' in of) throw new Error(JSON.stringify(of));
      const { book, client } = situation;
      await writeFile(file, await printInvoice(book, of.record));
      const { stdout } = await promisify(execFile)('pdftotext', ['-layout', file, '-']);
      const words = stdout.replace(/\s+/g, ' ');
      const sums = book.sumsOf(of.record);
      const formats = formatsOf(book, client!.record.language);
      expect(words).toContain(of.record.number);
      expect(words).toContain(client!.record.name);
      expect(words).toContain(formats.money(sums.amount).replace(/\s/g, ' '));
      for (const { description = '' } of of.record.lines ?? []) expect(words).toContain(description);
      read++;
    }
  } finally {
    await rm(folder, { recursive: true });
  }
  expect(read).toBeGreaterThan(2);
});

it('the calendar entry of every fitting letter, read back: the visit that the letter is about, its time and its place', () => {
  let read = 0;
  for (const { template, situation } of everyPaper('booking calendar entry')) {
    const of = paperOf('booking calendar entry', situation);
    if (of.paper !== 'booking calendar entry' || 'lacks' in of) throw new Error(JSON.stringify(of));
    const entry = calendarEntry(situation.book, of.record, { uid: of.record.key, version: 1 });
    const event = new ICAL.Event(
      new ICAL.Component(ICAL.parse(entry) as string).getFirstSubcomponent('vevent')!,
    );
    expect(event.startDate.toJSDate().getTime(), template).toBe(startOf(of.record));
    expect(event.endDate.toJSDate().getTime()).toBe(Date.parse(of.record.ends_at!));
    expect(event.summary.toLowerCase()).toContain(of.record.service);
    const { street = [] } = of.record.location ?? situation.client!.record.address ?? {};
    for (const line of street) expect(event.location).toContain(line);
    expect(event.uid).toBe(of.record.key);
    read++;
  }
  expect(read).toBeGreaterThan(10);
});
