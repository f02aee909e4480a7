import { readdirSync, readFileSync } from 'node:fs';
import { request } from 'node:http';
import path from 'node:path';

export interface Route {
  /** as in the tree: /api/letters/[id]/cure */
  path: string;
  /** a page is fetched only */
  methods: readonly string[];
  isPage: boolean;
  /** whether it reads words behind a question mark */
  asks: boolean;
}

const APP = path.join(import.meta.dirname, '..', 'src', 'app');

/** Every page and every handler there is, from the tree itself: a new one is in it by being there. */
export function everyRoute(): Route[] {
  return readdirSync(APP, { recursive: true, encoding: 'utf8' })
    .filter((file) => /(?:^|\/)(?:route\.ts|page\.tsx)$/.test(file))
    .map((file) => {
      const isPage = file.endsWith('page.tsx');
      const words = readFileSync(path.join(APP, file), 'utf8');
      const methods = [...words.matchAll(/export (?:async )?function (GET|POST|PUT|PATCH|DELETE)\b/g)];
      return {
        path: `/${path.dirname(file)}`.replace(/^\/\.$/, '/'),
        methods: isPage ? ['GET'] : methods.map(([, method]) => method!),
        isPage,
        asks: words.includes('searchParams'),
      };
    })
    .sort((a, b) => (a.path < b.path ? -1 : 1));
}

/** What stands for a part of a path in the demonstration; every part of every route has one. */
const PARTS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  '/api/along/[id]': { id: '00000000-0000-4000-8000-000000000000' },
  '/api/bookings/[key]/calendar-entry': { key: 'b-hartigan' },
  '/api/bookings/[key]': { key: 'no-such-booking' },
  '/api/clients/[key]/merge': { key: 'no-such-client' },
  '/api/clients/[key]/facts': { key: 'no-such-client' },
  '/api/clients/[key]/letters': { key: 'hartigan' },
  '/api/clients/[key]/parts': { key: 'hartigan' },
  '/api/files/[name]': { name: 'no-such-file.pdf' },
  '/api/invoices/[key]/payments': { key: 'LPC-1048' },
  '/api/invoices/[key]/pdf': { key: 'LPC-1048' },
  '/api/invoices/[key]/status': { key: 'no-such-invoice' },
  '/api/letters/[id]/files/[position]': { position: '1' },
  '/api/lists/[kind]': { kind: 'invoice' },
  '/api/records/[kind]': { kind: 'client' },
  '/api/records/[kind]/[key]': { kind: 'client', key: 'no-such-client' },
  '/api/records/[kind]/[key]/status': { kind: 'enquiry', key: 'no-such-enquiry' },
  '/api/drafts/[id]': { id: '00000000-0000-4000-8000-000000000000' },
  '/api/groups/[key]': { key: 'money' },
  '/api/members/[key]/details': { key: 'no-such-member' },
  '/api/members/[key]/rights': { key: 'no-such-member' },
  '/api/own-files/[id]': { id: '00000000-0000-4000-8000-000000000000' },
  '/api/record-files/[id]': { id: '00000000-0000-4000-8000-000000000000' },
  '/api/passages/[key]': { key: 'how-to-pay' },
  '/api/mail-accounts/[kind]/[whose]': { kind: 'sending', whose: 'business' },
  '/api/mail-accounts/[kind]/[whose]/guess': { kind: 'mailbox', whose: 'nobody' },
  '/api/signatures/[key]': { key: 'house' },
  '/api/shorthand/[key]': { key: 'kr' },
  '/api/signing-keys/[domain]': { domain: 'no-letters.example' },
  '/api/letterhead/[part]': { part: 'foot' },
  '/api/templates/[key]': { key: 'first-reminder' },
  '/api/templates/[key]/copy': { key: 'no-such-template' },
  '/api/templates/[key]/draft': { key: 'no-such-template' },
  '/api/templates/[key]/file': { key: 'first-reminder' },
  '/api/templates/[key]/first': { key: 'no-such-template' },
  '/api/templates/[key]/trial': { key: 'no-such-template' },
  '/api/templates/[key]/trash': { key: 'no-such-template' },
  '/api/templates/[key]/uses': { key: 'first-reminder' },
  '/api/templates/[key]/versions': { key: 'first-reminder' },
  '/api/templates/[key]/versions/[version]': { key: 'first-reminder', version: '1' },
  '/ask/[token]': { token: 'no-such-form' },
  '/calendar/[token]': { token: 'no-such-calendar' },
  '/clients/[key]': { key: 'hartigan' },
  '/clients/[key]/change': { key: 'hartigan' },
  '/clients/[key]/items/[item]': { key: 'hartigan', item: 'no-such-item' },
  '/clients/[key]/merge': { key: 'hartigan' },
  '/templates/passages/[key]': { key: 'how-to-pay' },
  '/templates/signatures/[key]': { key: 'house' },
  '/templates/shorthand/[key]': { key: 'kr' },
  '/templates/letterhead/[part]': { part: 'foot' },
  '/templates/[key]': { key: 'first-reminder' },
  '/opened/[mark]': { mark: 'no-such-mark' },
  '/settings/you/[key]': { key: 'no-such-member' },
  '/setting-up/[step]': { step: 'member' },
  '/work/[kind]': { kind: 'invoices' },
  '/work/[kind]/[key]': { kind: 'invoices', key: 'LPC-1048' },
  '/work/[kind]/[key]/change': { kind: 'invoices', key: 'LPC-1048' },
  '/work/[kind]/new': { kind: 'bookings' },
};

/** Words that follow a path, where it asks for some. */
const ASKED: Readonly<Record<string, string>> = {
  '/api/files': '?name=',
  '/api/clients/[key]/letters': '?as=mbox',
  '/api/along': '?from=invoice:LPC-1048&name=',
  '/api/letters': '?find=invoice&state=gone&member=imke&template=first-reminder&time=90',
  '/api/occasions': '?after=invoice:LPC-1048',
  '/api/palette': '?find=write+oda',
  '/api/lists/[kind]': '?find=LPC',
  '/api/record-files': '?of=client&key=no-such-client&name=',
  '/api/records': '?few',
  '/api/templates': '?find=invoice',
  '/api/templates/[key]/file': '?as=page',
  '/api/templates/files': '?as=json',
  '/api/templates/foreign': '?name=',
  '/api/writing': '?from=invoice:LPC-1048',
  '/write': '?from=invoice:LPC-1048',
};

/** A client of no sort there is, and without an address: whatever one of them is changed to, nobody is written down. */
/** A letter that is given to be sent; no template has such a version. */
const LETTER = {
  id: '00000000-0000-4000-8000-000000000000',
  from: 'invoice:LPC-1048',
  templateVersion: 999_999,
  choices: {
    template: 'first-reminder',
    answers: {},
    recipients: ['contact:hale'],
    stets: ['x'],
    leftOut: ['x'],
    added: [{ from: 'own', id: '00000000-0000-4000-8000-000000000000', name: 'x.pdf', size: 1 }],
  },
  document: { type: 'doc', content: [{ type: 'subject' }] },
  facts: { values: {}, parts: [], to: [] },
};

const NOBODY = {
  version: 999_999,
  kind: 'none of ours',
  name: 'Nobody',
  email: 'no address',
  address: { street: ['1 Quay'] },
  tags: ['regular'],
  since: '2026-11-25',
  responsible: 'imke',
  contacts: [{ given_name: 'Ada', uses: ['main'] }],
  items: [{ name: 'garden' }],
};

/** What each handler is sent by our own pages, with a version that is never the present one: nothing is changed. */
export const BODIES: Readonly<Record<string, object>> = {
  'POST /api/invoices/[key]/payments': {
    version: 999_999,
    amount: 100,
    paid_on: '2026-11-25',
    method: 'cash',
  },
  'DELETE /api/invoices/[key]/payments': { version: 999_999, position: 0 },
  'PUT /api/drafts/[id]': {
    from: LETTER.from,
    choices: LETTER.choices,
    document: LETTER.document,
    base: LETTER.document,
    name: 'Nobody',
    template: 'First reminder',
    seen: 999_999,
    device: '00000000-0000-4000-8000-000000000001',
  },
  'DELETE /api/drafts/[id]': {},
  'POST /api/letters': LETTER,
  'POST /api/letters/elsewhere': LETTER,
  'POST /api/letters/file': LETTER,
  'POST /api/bringing': {
    id: '00000000-0000-4000-8000-000000000000',
    kind: 'none of ours',
    name: 'a.csv',
    total: 0,
    heads: ['Who'],
    columns: ['name'],
  },
  'POST /api/bringing/[id]': { act: 'bring in' },
  'PUT /api/bringing/[id]/rows': { position: 0, rows: [{ row: 2, facts: { name: 'Nobody' } }] },
  'POST /api/bringing/columns': { heads: ['Nobody has this'] },
  'POST /api/bringing/matches': {
    kind: 'client',
    rows: [{ row: 2, emails: ['nobody@nowhere.example'], phones: [], names: ['Nobody'] }],
  },
  'POST /api/letters/[id]/cure': { cure: 'settle', version: 999_999 },
  'POST /api/letters/[id]/enquiry': {},
  'POST /api/letters/brought': {},
  'POST /api/letters/[id]/member': { member: 'imke', version: 999_999 },
  'POST /api/letters/[id]/files/[position]': {},
  'POST /api/letters/[id]/take-back': {},
  'POST /api/letters/[id]/write-on': {},
  'PATCH /api/clients/[key]/facts': { facts: [{ fact: 'phone', was: '', now: '01632 960144' }] },
  'POST /api/occasions': { occasion: 'none of ours', rest: 'next week' },
  'DELETE /api/occasions': { occasion: 'none of ours' },
  'POST /api/sending': {},
  'PUT /api/mail-accounts/[kind]/[whose]': {
    version: 999_999,
    host: '127.0.0.1',
    port: 9,
    security: 'none',
    sign_in: 'password',
    user_name: 'office',
    secret: 'none of ours',
    issuer: 'https://provider.example',
    client_id: 'fair-quill',
    scope: 'mail.send',
    envelope_address: 'returns@larkfield.example',
    most: 100,
    per: 'hour',
  },
  'DELETE /api/mail-accounts/[kind]/[whose]': {},
  'POST /api/mail-accounts/[kind]/[whose]/guess': {},
  'POST /api/mail-accounts/signed-in': { code: 'no code', state: 'no state', error: 'access_denied' },
  'PUT /api/morning-letter': { hour: 7 },
  'POST /api/signing-keys/[domain]': { act: 'look' },
  'PUT /api/settings': {
    reminderSpacing: 7,
    lateAfter: 6,
    idleDays: 14,
    takeBackSeconds: 10,
    sameLetterDays: 7,
    deviceDays: 7,
    marksReplies: true,
    asksOpened: false,
  },
  'POST /api/session': { email: 'nobody@larkfield.example', password: 'wrong' },
  'DELETE /api/session': {},
  'POST /api/business': {
    name: 'Another',
    country: 'GB',
    full_name: 'Somebody Else',
    email: 'no address',
    password: 'a few good words',
    languages: ['en-GB'],
    timeZone: 'Europe/London',
  },
  // No version and no address: whatever one of them is changed to, nothing is kept.
  'PUT /api/business/details': {
    version: 999_999,
    name: 'Another',
    email: 'no address',
    address: { street: ['1 Quay'], town: 'Saltby' },
    locale: 'en-GB',
    time_zone: 'Europe/London',
    currency: 'GBP',
    hour_cycle: 24,
    working_days: [1],
    holidays: [],
    item_label: 'item',
    booking_label: 'visit',
  },
  // Of no sort there is: nobody's address changes.
  'POST /api/business/calendar': { act: 'none of ours' },
  'POST /api/business/invitations': {},
  'PUT /api/business/set-up': { step: 'trial', as: 'skipped' },
  'POST /api/clients': { clients: [{ name: 'Nobody', kind: 'none of ours', email: 'no address' }] },
  'POST /api/records/[kind]': { ...NOBODY, id: '00000000-0000-4000-8000-000000000000' },
  'PUT /api/records/[kind]/[key]': { ...NOBODY, kind: 'person', email: 'nobody@post.example' },
  'DELETE /api/records/[kind]/[key]': { version: 999_999 },
  'PATCH /api/records/[kind]/[key]/status': { from: 'waiting', to: 'answered' },
  'POST /api/records/removed': { id: '00000000-0000-4000-8000-000000000000' },
  'PUT /api/business/work': {
    version: 999_999,
    travel_minutes: -1,
    invoice_prefix: 'X-',
    invoice_next: 1,
    invoice_digits: 1,
    days_to_pay: 14,
    tax_rate: 'none',
    services: [],
    plans: [],
  },
  'POST /api/clients/[key]/merge': {
    version: 999_999,
    gone: 'hartigan',
    goneVersion: 999_999,
    take: ['name'],
  },
  'DELETE /api/clients/[key]/merge': { id: '00000000-0000-4000-8000-000000000000' },
  'PUT /api/business/enquiry-form': {
    version: 999_999,
    is_open: true,
    asks_service: true,
    sites: ['nowhere'],
  },
  'POST /api/business/enquiry-form': {
    version: 999_999,
    is_open: true,
    asks_service: true,
    sites: ['nowhere'],
  },
  'POST /ask/[token]': {},
  // Of no kind and without an address: whatever one of them is changed to, nothing is kept.
  'PUT /api/business/fields': {
    version: 999_999,
    fields: [{ record: 'client', label: 'Dog', type: 'none of ours', choices: ['yes'] }],
  },
  'PUT /api/business/links': { version: 999_999, links: [{ name: '', address: 'nowhere' }] },
  'PATCH /api/bookings/[key]': { version: 999_999, status: 'done' },
  'POST /api/bookings/clashes': {
    items: [],
    starts_at: '2026-11-25T09:00:00Z',
    ends_at: '2026-11-25T10:00:00Z',
  },
  'POST /api/bookings/free-days': { days: ['2026-11-25'] },
  'PUT /api/invoices/[key]/status': { version: 999_999, to: 'void' },
  'PUT /api/members/[key]/details': { version: 999_999, full_name: 'Nobody', email: 'nobody@post.example' },
  'POST /api/groups': { name: '', initial: 'X', tint: 'none of ours' },
  'PUT /api/groups': { order: ['no-such-group'] },
  'POST /api/groups/[key]': { version: 999_999, name: 'Money', initial: 'M', tint: 'moss' },
  'DELETE /api/groups/[key]': { version: 999_999, to: null },
  'PUT /api/members/[key]/rights': { changesShared: true },
  'POST /api/passages': { name: '' },
  'POST /api/passages/[key]': {
    version: 999_999,
    name: 'How to pay',
    text: 'Words.',
    group: null,
    startsFrom: 'invoice',
  },
  'DELETE /api/passages/[key]': { version: 999_999 },
  'POST /api/letterhead/[part]': { version: 999_999, text: 'Words.' },
  'POST /api/shorthand': { name: '', house: true },
  'POST /api/shorthand/[key]': {
    version: 999_999,
    name: ';kr',
    text: 'Words.',
    group: null,
    startsFrom: 'client',
  },
  'DELETE /api/shorthand/[key]': { version: 999_999 },
  'POST /api/templates/foreign': {},
  'PUT /api/templates/foreign': { names: [] },
  'POST /api/templates/brought': {
    templates: [{ text: 'no template', group: null, instead: { key: 'x', version: 1 } }],
    passages: [{ name: 'x', text: 'x' }],
    names: [{ name: 'x', meant: 'gap' }],
  },
  'DELETE /api/templates/brought': { keys: [] },
  'POST /api/signatures': { name: '', house: true },
  'POST /api/signatures/[key]': { version: 999_999, name: 'House', text: 'Words.', usual: true },
  'DELETE /api/signatures/[key]': { version: 999_999 },
  'POST /api/templates': { name: '', startsFrom: 'none of ours', group: null },
  'PUT /api/templates': { under: [{ group: 'no-such-group', templates: ['no-such-template'] }] },
  'PUT /api/templates/[key]/draft': { version: 1, text: 'Words.' },
  'POST /api/templates/[key]/first': {},
  'POST /api/templates/[key]/trial': {
    id: '00000000-0000-4000-8000-000000000000',
    from: 'invoice:no-such-invoice',
    to: 'imke',
    text: '---\nname: First reminder\n---\n',
  },
  'POST /api/along': {},
  'PATCH /api/letters/[id]/held-days': { held: false },
  'POST /api/letters/look-up': {
    from: 'invoice:no-such-invoice',
    ...{
      names: ['Oda Hartigan'],
      emails: ['oda@hartigan.example'],
      phones: [],
      streets: [],
      invoices: [],
      days: [],
    },
  },
  'POST /api/files': {},
  'POST /api/own-files/[id]': { name: 'Nothing.pdf' },
  'POST /api/record-files': {},
  'POST /api/record-files/[id]': { name: 'Nothing.pdf' },
  'POST /api/pictures': {},
  'POST /api/pictures/[sha256]': { left: 0, right: 0, top: 0, bottom: 0 },
  'POST /api/templates/[key]/copy': {},
  'POST /api/templates/[key]/trash': {},
  'DELETE /api/templates/[key]/trash': {},
  'POST /api/templates/[key]/versions/[version]': { standing: 999_999 },
  'POST /api/templates/[key]': { version: 999_999, text: '---\nname: First reminder\nfrom: invoice\n---\n' },
};

/**
 * A route's address, with its parts filled.
 * @param others for its parts, before those of the demonstration
 */
export function addressOf(
  route: Route,
  others: Readonly<Record<string, string>>,
  asked = ASKED[route.path] ?? '',
): string {
  const filled = route.path.replace(/\[(\w+)\]/g, (_, name: string) => {
    const value = others[name] ?? PARTS[route.path]?.[name];
    if (value === undefined)
      throw new Error(`${route.path} needs a sample of its “${name}” in everyRoute.ts.`);
    return value;
  });
  return filled + asked;
}

export interface Asked {
  method: string;
  address: string;
  cookie?: string;
  body?: string;
  headers?: Record<string, string>;
}

export interface Answered {
  status: number;
  words: string;
  location: string;
}

/** Sends a request exactly as it is written: no address is put in order on the way. */
export function ask(asked: Asked): Promise<Answered> {
  const { method, address, cookie, body, headers = {} } = asked;
  const base = new URL(process.env.BASE_URL!);
  return new Promise((resolve, reject) => {
    const sent = request(
      {
        host: base.hostname,
        port: base.port,
        method,
        path: address,
        headers: {
          ...(method === 'GET' ? {} : { origin: base.origin, 'content-type': 'application/json' }),
          ...(cookie ? { cookie: `fair-quill-session=${cookie}` } : {}),
          ...(body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }),
          ...headers,
        },
      },
      (answer) => {
        let words = '';
        answer.setEncoding('utf8').on('data', (chunk: string) => (words += chunk));
        answer.on('end', () =>
          resolve({ status: answer.statusCode!, words, location: answer.headers.location ?? '' }),
        );
      },
    );
    // A kept connection may be ended by the server in the moment in which it is used again: that is no answer.
    sent.on('error', (error) => (sent.reusedSocket ? resolve(ask(asked)) : reject(error)));
    sent.end(body);
  });
}
