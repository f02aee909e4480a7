import { Eta } from 'eta';
import Handlebars from 'handlebars';
import { Liquid } from 'liquidjs';
import Mustache from 'mustache';
import { escapeHtml } from '../../src/core/fill/write/escape';

/** What the other libraries are given: every fact found and worked out, dates as milliseconds, sums in minor units. */
export interface View {
  greeting: string;
  business: { name: string; email: string };
  client: { name: string; town: string };
  booking: { service: string; starts: number };
  project: { title: string; notes: string };
  invoice: {
    number: string;
    issued: number;
    due: number;
    lastPaid: number;
    total: number;
    paid: number;
    balance: number;
    overdue: boolean;
    days_overdue: number;
    lines: { description: string; quantity: number }[];
  };
  sender: { name: string; title: string; email: string };
}

/** A letter rendered from what `prepare` makes of a view; by default from the view itself. */
export interface Engine {
  name: string;
  prepare?: (view: View) => unknown;
  render: (given: never) => string;
}

const UTC = { timeZone: 'UTC' } as const;
const LONG = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', ...UTC });
const DATE = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', ...UTC });
const DAY_AND_MONTH = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', ...UTC });
const MONEY = new Intl.NumberFormat('en-GB', { style: 'currency', currency: 'GBP' });
const NUMBER = new Intl.NumberFormat('en-GB');

const longDate = (moment: number) => LONG.format(moment);
const date = (moment: number) => DATE.format(moment);
const dayAndMonth = (moment: number) => DAY_AND_MONTH.format(moment);
const money = (amount: number) => MONEY.format(amount / 100);
const number = (value: number) => NUMBER.format(value);

/** How one library writes a value, a formatted value, a condition and a loop. */
interface Syntax {
  value: (path: string) => string;
  formatted: (by: string, path: string) => string;
  when: (path: string, inner: string) => string;
  each: (path: string, inner: (item: string) => string) => string;
}

/** The letter as HTML, with what changes in a library's own syntax; the same elements as our own writer's. */
function letter({ value, formatted, when, each }: Syntax): string {
  const p = (inner: string) => `<p style="margin:0 0 1em">${inner}</p>`;
  return [
    p(`Hello ${value('greeting')},`),
    p(
      `thank you for having ${value('business.name')} at ${value('client.name')} in ${value('client.town')}. The ${value('booking.service')} of ${formatted('longDate', 'booking.starts')} is part of <strong>${value('project.title')}</strong>, as ${value('project.notes')}.`,
    ),
    p(
      `Here is invoice ${value('invoice.number')} of ${formatted('date', 'invoice.issued')} over ${formatted('money', 'invoice.total')}. You have paid ${formatted('money', 'invoice.paid')}, the last of it on ${formatted('dayAndMonth', 'invoice.lastPaid')}; ${formatted('money', 'invoice.balance')} is still open.`,
    ),
    when(
      'invoice.overdue',
      p(
        `It was due on ${formatted('date', 'invoice.due')}, ${formatted('number', 'invoice.days_overdue')} days ago.`,
      ),
    ),
    `<ul style="margin:0 0 1em;padding:0 0 0 24px">`,
    each(
      'invoice.lines',
      (item) =>
        `<li style="margin:0">${value(`${item}description`)}: ${formatted('number', `${item}quantity`)}</li>`,
    ),
    '</ul>',
    p(`Write to ${value('business.email')} when something is not right.`),
    p(`${value('sender.name')}<br>${value('sender.title')}<br>${value('sender.email')}`),
  ].join('');
}

const FORMATS = { longDate, date, dayAndMonth, money, number };

function handlebars(): Engine {
  const engine = Handlebars.create();
  engine.registerHelper(FORMATS);
  const render = engine.compile<View>(
    letter({
      value: (path) => `{{${path}}}`,
      formatted: (by, path) => `{{${by} ${path}}}`,
      when: (path, inner) => `{{#if ${path}}}${inner}{{/if}}`,
      each: (path, inner) => `{{#each ${path}}}${inner('')}{{/each}}`,
    }),
  );
  return { name: 'handlebars', render: (view: View) => render(view) };
}

function mustache(): Engine {
  const source = letter({
    value: (path) => `{{${path}}}`,
    // Its functions take no argument: what is formatted is a function of the value around it.
    formatted: (by, path) => `{{#${path}}}{{${by}}}{{/${path}}}`,
    when: (path, inner) => `{{#${path}}}${inner}{{/${path}}}`,
    each: (path, inner) => `{{#${path}}}${inner('')}{{/${path}}}`,
  });
  Mustache.parse(source);
  const functions = Object.fromEntries(
    Object.entries(FORMATS).map(([by, write]) => [
      by,
      function (this: number) {
        return write(Number(this));
      },
    ]),
  );
  return {
    name: 'mustache',
    prepare: (view) => ({ ...view, ...functions }),
    render: (view: object) => Mustache.render(source, view),
  };
}

function liquid(): Engine {
  const engine = new Liquid({ outputEscape: (value: unknown) => escapeHtml(String(value)) });
  for (const [by, write] of Object.entries(FORMATS)) engine.registerFilter(by, write);
  const template = engine.parse(
    letter({
      value: (path) => `{{ ${path} }}`,
      formatted: (by, path) => `{{ ${path} | ${by} }}`,
      when: (path, inner) => `{% if ${path} %}${inner}{% endif %}`,
      each: (path, inner) => `{% for line in ${path} %}${inner('line.')}{% endfor %}`,
    }),
  );
  return { name: 'liquidjs', render: (view: View) => engine.renderSync(template, view) as string };
}

/**
 * To be measured after all others, and loaded only when it is called for: it makes an object of String.prototype, from
 * when on string methods are four times slower in the whole process.
 */
export async function nunjucksEngine(): Promise<Engine> {
  const { default: nunjucks } = await import('nunjucks');
  const environment = new nunjucks.Environment(null, { autoescape: true });
  for (const [by, write] of Object.entries(FORMATS)) environment.addFilter(by, write);
  const template = new nunjucks.Template(
    letter({
      value: (path) => `{{ ${path} }}`,
      formatted: (by, path) => `{{ ${path} | ${by} }}`,
      when: (path, inner) => `{% if ${path} %}${inner}{% endif %}`,
      each: (path, inner) => `{% for line in ${path} %}${inner('line.')}{% endfor %}`,
    }),
    environment,
    'letter',
    true,
  );
  return { name: 'nunjucks', render: (view: View) => template.render(view) };
}

function eta(): Engine {
  const engine = new Eta({ autoEscape: true, useWith: false });
  const path = (of: string) => (of.startsWith('line.') ? of : `it.view.${of}`);
  const compiled = engine.compile(
    letter({
      value: (of) => `<%= ${path(of)} %>`,
      formatted: (by, of) => `<%= it.formats.${by}(${path(of)}) %>`,
      when: (of, inner) => `<% if (${path(of)}) { %>${inner}<% } %>`,
      each: (of, inner) => `<% for (const line of ${path(of)}) { %>${inner('line.')}<% } %>`,
    }),
  );
  return {
    name: 'eta',
    prepare: (view) => ({ view, formats: FORMATS }),
    render: (given: object) => engine.render(compiled, given),
  };
}

/** What somebody would write by hand for this one letter. */
function byHand(): Engine {
  const P = '<p style="margin:0 0 1em">';
  return {
    name: 'by hand',
    render: ({ greeting, business, client, booking, project, invoice, sender }: View) => {
      let out = `${P}Hello ${escapeHtml(greeting)},</p>${P}thank you for having ${escapeHtml(business.name)} at ${escapeHtml(client.name)} in ${escapeHtml(client.town)}. The ${escapeHtml(booking.service)} of ${longDate(booking.starts)} is part of <strong>${escapeHtml(project.title)}</strong>, as ${escapeHtml(project.notes)}.</p>${P}Here is invoice ${escapeHtml(invoice.number)} of ${date(invoice.issued)} over ${money(invoice.total)}. You have paid ${money(invoice.paid)}, the last of it on ${dayAndMonth(invoice.lastPaid)}; ${money(invoice.balance)} is still open.</p>`;
      if (invoice.overdue)
        out += `${P}It was due on ${date(invoice.due)}, ${number(invoice.days_overdue)} days ago.</p>`;
      out += '<ul style="margin:0 0 1em;padding:0 0 0 24px">';
      for (const { description, quantity } of invoice.lines)
        out += `<li style="margin:0">${escapeHtml(description)}: ${number(quantity)}</li>`;
      return `${out}</ul>${P}Write to ${escapeHtml(business.email)} when something is not right.</p>${P}${escapeHtml(sender.name)}<br>${escapeHtml(sender.title)}<br>${escapeHtml(sender.email)}</p>`;
    },
  };
}

export function otherEngines(): Engine[] {
  return [eta(), handlebars(), mustache(), liquid(), byHand()];
}
