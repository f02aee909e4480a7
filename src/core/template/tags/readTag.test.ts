import { describe, expect, it } from 'vitest';
import { TagError } from './lexer';
import { printTag } from './printTag';
import { readTag } from './readTag';

const wrong = (inner: string) => {
  try {
    readTag(inner);
  } catch (error) {
    if (error instanceof TagError) return `${error.at}: ${error.message}`;
    throw error;
  }
  return 'nothing is wrong';
};

describe('a tag is read and written back the same', () => {
  it.each([
    '{{invoice.number}}',
    '{{.}}',
    '{{booking.starts_at | plus 2 working days | long date}}',
    '{{booking.starts_at | minus 1 month}}',
    '{{today | next Monday | date}}',
    '{{today | next weekday}}',
    '{{invoice.balance | share 50% | whole money}}',
    '{{invoice.total | plus 17.5%}}',
    '{{links.review | as "our | page }} \\"here\\""}}',
    '{{item.custom.humidity_system | as "with" "without"}}',
    '{{business.logo | width 240}}',
    '{{client.unpaid_invoices | where balance over £100 and due_on before today | by due_on down | first 3 | sum balance}}',
    '{{client.bookings | where date is ? "Which day"}}',
    '{{enquiry.wanted_on | joined or | or "soon"}}',
    '{{#client.invoices | last 2}}',
    '{{^booking.items}}',
    '{{/client.invoices}}',
    '{{#when invoice.days_overdue at least 14}}',
    '{{#when client.tags contains "school" or client.kind is not "person"}}',
    '{{#when booking.starts_at | month is "March 2026" and booking.price is set}}',
    '{{#when booking.starts_at | day and month is "3 March" and invoice.is_paid}}',
    '{{#when invoice.due_on before 2026-03-01}}',
    '{{#when booking.items | where custom.humidity_system is yes and name is set | count over 0 and invoice.is_paid}}',
    '{{#when client.invoices | where is_overdue is set}}',
    '{{otherwise}}',
    '{{/when}}',
    '{{> Before we come}}',
    '{{? Hourly rate : money = 65.00}}',
    '{{? Size : choice of "small one" "large" = large | upper}}',
    '{{? Words = "a | b"}}',
    '{{? Words}}',
    '{{gap "the price"}}',
    '{{unfinished "12 Harbour Road"}}',
    '{{signature}}',
    '{{! a note }}',
  ])('%s', (text) => expect(printTag(readTag(text.slice(2, -2)))).toBe(text));

  it('whatever the spaces', () => {
    expect(printTag(readTag('  invoice.number|upper '))).toBe('{{invoice.number | upper}}');
    expect(printTag(readTag('#  when   a   is   "b" '))).toBe('{{#when a is "b"}}');
    expect(printTag(readTag('?Rate:money=65'))).toBe('{{? Rate : money = 65}}');
  });
});

describe('a tag that is wrong says what was expected', () => {
  it.each([
    ['', '0: This tag is empty.'],
    ['{x}', '0: There is no tag for unescaped values: write {{path}} with two braces.'],
    ['&x', '0: There is no tag for unescaped values: write {{path}} with two braces.'],
    ['=<% %>=', '0: The braces of tags cannot be changed: {{= … =}} is not understood.'],
    ['a b', '2: “|” is missing before “b”.'],
    ['a..b', '0: “a..b” is no field; a field is written as {{invoice.number}}.'],
    ['a |', '2: A step is missing after “|”.'],
    ['a | uper', '4: There is no step “uper”. Did you mean “upper”?'],
    ['a | long dat', '4: There is no step “long dat”. Did you mean “long date”?'],
    ['a | plus 2 dayz', '11: There is no unit “dayz”. Did you mean “days”?'],
    [
      'a | plus days',
      '4: plus takes a number and a unit or a percentage, as “plus 2 working days” or “plus 10%”.',
    ],
    ['a | share 50', '4: share takes a percentage, as “share 50%”.'],
    [
      'a | next Mondey',
      '4: next takes “weekday” or the name of a day, as “next Monday”. Did you mean “next Monday”?',
    ],
    ['a | or soon', '4: or takes its words in quotation marks, as “or "soon"”.'],
    ['a | or "x" | upper', '11: “or” is the last step.'],
    ['a | first x', '4: first takes a whole number, as “first 3”.'],
    ['a | as "one" "two" "three"', '4: as takes one text, or two for yes and no.'],
    ['a | where', '9: A condition is missing here.'],
    ['a | where b | upper is "X"', '14: There is no step “upper is X”.'],
    ['a | or "x', '7: This quotation mark is never closed.'],
    ['#when', '0: Only when needs a condition, as {{#when invoice.balance over 100}}.'],
    ['#when a is', '10: Something to compare with is missing after “is”.'],
    [
      '#when a equals 3',
      '8: “equals” is no comparison; there are is not set, is set, is not, is, over, under, at least, at most, before, after, contains.',
    ],
    ['#when a and b or c', '14: “and” and “or” cannot stand in one condition.'],
    [
      '#when a before 2026-02-30',
      '15: “2026-02-30” is neither a number, a date, a sum, quoted text nor a field.',
    ],
    ['#when a is ? Rate', '11: A blank in a condition has its name in quotation marks, as ? "Rate".'],
    ['/a | b', '0: A closing tag names the path alone, as {{/invoice.lines}}.'],
    ['>', '0: The name of a passage is missing, as {{> Before we come}}.'],
    ['?', '1: The name of a blank is missing, as {{? Hourly rate}}.'],
    [
      '? Rate : monei',
      '8: A blank is one of text, long text, number, money, date, yes/no or choice of "a" "b", not “monei”. Did you mean “money”?',
    ],
    ['? Rate : choice of', '8: A choice lists its answers, as {{? Size : choice of "small" "large"}}.'],
    ['? Rate =', '8: The default is missing after “=”.'],
    ['gap price', '0: gap takes its words in quotation marks, as {{gap "…"}}.'],
  ])('{{%s}}: %s', (inner, message) => expect(wrong(inner)).toBe(message));
});
