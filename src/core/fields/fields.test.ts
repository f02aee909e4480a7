import { describe, expect, it } from 'vitest';
import type { Field } from '../document/templateDocument';
import { readMoment } from '../dates/zone';
import { newScope, type CompileContext } from '../fill/compile/newScope';
import { resolvePath } from '../fill/paths/resolvePath';
import { within, type Scope } from '../fill/paths/scope';
import { compileSteps } from '../fill/steps/compileSteps';
import { SAMPLE } from '../fill/test/fillSample';
import { RecordBook } from '../records/recordBook';
import { STARTING_POINTS, type StartingKind } from '../records/recordKind';
import { schemaOf } from '../records/schema';
import { situationFrom } from '../records/which/situation';
import type { TemplateHead } from '../template/template';
import { fieldsAt } from './fieldsAt';
import { findFields } from './findFields';
import { formsOf } from './formsOf';
import { sayField } from './sayField';

const context: CompileContext = { schema: schemaOf(SAMPLE), passages: new Map() };
const head = (startsFrom: StartingKind): TemplateHead => ({ name: 't', group: 'g', startsFrom, subject: [] });
const scopeFrom = (startsFrom: StartingKind): Scope => newScope(context, head(startsFrom), []);

/** Inside a section over what a path leads to. */
function inside(scope: Scope, path: string): Scope {
  const resolved = resolvePath(path, scope);
  if (typeof resolved === 'string') throw new Error(resolved);
  return within(scope, resolved.type.kind === 'collection' ? resolved.type.of : resolved.type);
}

const everyScope = STARTING_POINTS.flatMap((start) => {
  const scope = scopeFrom(start);
  const lists = ['invoice.lines', 'booking.items', 'client.unpaid_invoices', 'client.tags', 'client.address'];
  return [scope, ...lists.map((path) => inside(scope, path))];
});

describe('fields at a place of a template', () => {
  it('can each stand there, in every form that is offered', () => {
    let seen = 0;
    for (const scope of everyScope)
      for (const { unreachable, fields } of fieldsAt(scope))
        for (const { path } of fields) {
          const resolved = resolvePath(path, scope);
          if (unreachable !== undefined) {
            expect(resolved).toBe(unreachable);
            continue;
          }
          expect(resolved, path).toBeTypeOf('object');
          if (typeof resolved === 'string') continue;
          for (const steps of formsOf(resolved.type))
            expect(compileSteps(steps, resolved.type, scope), `${path} ${JSON.stringify(steps)}`).toBeTypeOf(
              'object',
            );
          seen++;
        }
    expect(seen).toBeGreaterThan(1000);
  });

  it('stand under what the business calls its records, the record it starts from first', () => {
    const groups = fieldsAt(scopeFrom('booking'), { booking: 'visit' });
    expect(groups.slice(0, 3).map(({ title }) => title)).toEqual(['Visit', 'Visit, member', 'Recipient']);
    expect(groups.at(-1)).toMatchObject({ root: 'enquiry', title: 'Enquiry' });
    expect(groups.at(-1)!.unreachable).toContain('leads to no enquiry');
  });

  it('of a row come before all others, by their bare names', () => {
    const [first] = fieldsAt(inside(scopeFrom('invoice'), 'invoice.lines'));
    expect(first).toMatchObject({ root: '', title: 'This line' });
    expect(first!.fields.map(({ path }) => path)).toContain('description');
    // In a list of invoices, “client” is the invoice's own.
    const roots = fieldsAt(inside(scopeFrom('client'), 'client.unpaid_invoices')).map(({ root }) => root);
    expect(roots).not.toContain('client');
  });
});

describe('fields are found by what they mean', () => {
  const find = (start: StartingKind, wanted: string) =>
    findFields(fieldsAt(scopeFrom(start), { booking: 'visit' }), wanted).map(({ field }) => field.path);

  it.each<[StartingKind, string, string]>([
    ['booking', 'when', 'booking.starts_at'],
    ['invoice', 'when due', 'invoice.due_on'],
    ['invoice', 'how much', 'invoice.total'],
    ['invoice', 'owes', 'invoice.balance'],
    ['client', 'what they owe', 'client.outstanding'],
    ['booking', 'their street', 'client.address.street'],
    ['booking', 'first name', 'recipient.given_name'],
    ['booking', 'hello', 'recipient.greeting_name'],
    ['booking', 'who comes', 'booking.member.full_name'],
    ['booking', 'how long', 'booking.duration'],
    ['booking', 'where', 'booking.location'],
    ['booking', 'until', 'booking.end_time'],
    ['invoice', 'bank', 'business.payment_details'],
    ['invoice', 'late', 'invoice.days_overdue'],
    ['invoice', 'number', 'invoice.number'],
    ['project', 'ready', 'project.ends_on'],
    ['project', 'what called', 'project.title'],
    ['client', 'our phone', 'business.phone'],
    ['client', 'review', 'links.review'],
    ['enquiry', 'what they wrote', 'enquiry.message'],
    ['client', 'today', 'today'],
  ])('from %s “%s” is %s', (start, wanted, path) => {
    expect(find(start, wanted).slice(0, 3), find(start, wanted).slice(0, 6).join(' ')).toContain(path);
  });

  it('whatever the accents and capitals; nothing is nothing', () => {
    expect(find('booking', 'WHÉN')).toEqual(find('booking', 'when'));
    expect(find('booking', 'zebra')).toEqual([]);
    // Without words the facts as they stand, without their pieces.
    expect(find('booking', '')[0]).toBe('booking.service');
    expect(find('booking', '')).not.toContain('client.address.town');
    // Words that say little are heard where they are all there is.
    expect(find('booking', 'what').length).toBeGreaterThan(0);
  });
});

describe('what a field says for a record', () => {
  const book = new RecordBook(SAMPLE, readMoment('2026-03-02T09:00:00Z')!);
  const say = (start: StartingKind, key: string, field: Field['attrs'], around: string[] = []) =>
    sayField(
      field,
      around.map((path) => ({ path, steps: [] })),
      head(start),
      context,
      situationFrom(book, { kind: start, key }, { sender: book.members.get('imke')! })!,
    );

  it('is what the letter would say', () => {
    expect(say('booking', 'b1', { path: 'booking.starts_at', steps: [{ step: 'long date' }] })).toBe(
      'Tuesday, 3 March 2026',
    );
    expect(say('booking', 'b1', { path: 'client.greeting_name', steps: [] })).toBe('Oda');
    expect(say('client', 'c1', { path: '.', steps: [{ step: 'upper' }] }, ['client.tags'])).toBe('SCHOOL');
  });

  it('is nothing where it is missing, or cannot stand there; what speaks for it is said', () => {
    expect(say('client', 'c1', { path: 'client.mobile', steps: [] })).toBeUndefined();
    expect(say('client', 'c1', { path: 'client.nothing', steps: [] })).toBeUndefined();
    expect(say('client', 'c1', { path: 'client.mobile', steps: [{ step: 'or', words: 'none' }] })).toBe(
      'none',
    );
  });
});
