import { IN_REPLY, LETTER, LETTER_ID, MARKED, message, type Awkward } from './awkward';

const OTHER = { is: 'other', automatic: false, about: null } as const;
const NOT_AN_ANSWER = { 'In-Reply-To': undefined, Subject: 'A question' };

/** Heads that are written oddly, and the signs by which a letter is known. */
export const HEADS: readonly Awkward[] = [
  {
    name: 'an ordinary answer',
    raw: message({}, 'Yes please!'),
    told: { is: 'answer', about: IN_REPLY, words: 'Yes please!' },
  },
  {
    name: 'known by its reply mark alone',
    raw: message({ To: `Imke <${MARKED}>`, 'In-Reply-To': undefined }, 'Yes.'),
    told: { is: 'answer', about: { sign: 'reply mark', letter: LETTER } },
  },
  {
    name: 'the mark in capitals, as some servers write addresses',
    raw: message({ To: MARKED.toUpperCase(), 'In-Reply-To': undefined }, 'Yes.'),
    told: { about: { sign: 'reply mark', letter: LETTER } },
  },
  {
    name: 'the mark only where it was delivered to',
    raw: message({ 'Delivered-To': MARKED, 'In-Reply-To': undefined, Subject: 'Hello' }, 'Yes.'),
    told: { is: 'answer', about: { sign: 'reply mark', letter: LETTER } },
  },
  {
    name: 'a mark that is none',
    raw: message({ To: 'imke+raprqwr@larkfield.example', ...NOT_AN_ANSWER }, 'Yes.'),
    told: OTHER,
  },
  {
    name: 'the mark before what it is in reply to',
    raw: message({ Cc: MARKED, 'In-Reply-To': '<another@post.example>' }, 'Yes.'),
    told: { about: { sign: 'reply mark', letter: LETTER } },
  },
  {
    name: 'known by its references alone, the last one first',
    raw: message({ 'In-Reply-To': undefined, References: `<first@post.example>\r\n <${LETTER_ID}>` }, 'Yes.'),
    told: { is: 'answer', about: { sign: 'references', messageIds: [LETTER_ID, 'first@post.example'] } },
  },
  {
    name: 'ids without brackets',
    raw: message({ 'In-Reply-To': LETTER_ID }, 'Yes.'),
    told: { about: IN_REPLY },
  },
  {
    name: 'words beside the id',
    raw: message({ 'In-Reply-To': `Your message of Friday <${LETTER_ID}>` }, 'Yes.'),
    told: { about: IN_REPLY },
  },
  {
    name: 'an id that is twice there',
    raw: message({ 'In-Reply-To': `<${LETTER_ID}> <${LETTER_ID}>` }, 'Yes.'),
    told: { about: IN_REPLY },
  },
  {
    name: 'an answer by its subject alone',
    raw: message({ 'In-Reply-To': undefined }, 'Yes.'),
    told: { is: 'answer', about: null },
  },
  ...[
    'AW: Ihr Termin',
    'SV: Besök',
    'Antw: Uw bezoek',
    'RE[2]: Visit',
    'Rif: Visita',
    'Odp: Wizyta',
    'RES: Visita',
  ].map((Subject) => ({
    name: `an answer by “${Subject}”`,
    raw: message({ 'In-Reply-To': undefined, Subject }, 'Yes.'),
    told: { is: 'answer' as const, about: null, subject: Subject },
  })),
  {
    name: 'a new message',
    raw: message(NOT_AN_ANSWER, 'Do you tune uprights? On 9 December, say. I can be rung on 01632 960111.'),
    told: {
      ...OTHER,
      asks: {
        name: 'Oda Hartigan',
        email: 'oda@hartigan.example',
        phone: '01632 960111',
        days: ['2026-12-09'],
      },
    },
  },
  {
    name: 'a subject that only begins like an answer',
    raw: message({ 'In-Reply-To': undefined, Subject: 'Reeds for the organ' }, 'Hello.'),
    told: OTHER,
  },
  {
    name: 'an address with a comment and in quotes',
    raw: message({ From: '"Hartigan, Oda" (at home) <Oda@Hartigan.Example>' }, 'Yes.'),
    told: { from: { name: 'Hartigan, Oda', address: 'oda@hartigan.example' } },
  },
  {
    name: 'a name that is another address',
    raw: message({ From: '"imke@larkfield.example" <someone@else.example>' }, 'Yes.'),
    told: { from: { name: 'imke@larkfield.example', address: 'someone@else.example' } },
  },
  {
    name: 'nobody it is from',
    raw: message({ From: undefined, ...NOT_AN_ANSWER }, 'Yes.'),
    told: { ...OTHER, from: null },
  },
  {
    name: 'an undisclosed group',
    raw: message({ To: 'undisclosed-recipients:;' }, 'Yes.'),
    told: { is: 'answer', to: [] },
  },
  {
    name: 'a group with people in it',
    raw: message({ To: 'Tuners: imke@larkfield.example, Teo <teo@larkfield.example>;' }, 'Yes.'),
    told: {
      to: [
        { name: '', address: 'imke@larkfield.example' },
        { name: 'Teo', address: 'teo@larkfield.example' },
      ],
    },
  },
  {
    name: 'the local time of its writer',
    raw: message({ Date: 'Fri, 27 Nov 2026 11:30:00 +0130 (somewhere)' }, 'Yes.'),
    told: { date: '2026-11-27T10:00:00.000Z' },
  },
  { name: 'a date that is none', raw: message({ Date: 'yesterday' }, 'Yes.'), told: { date: null } },
  { name: 'no date', raw: message({ Date: undefined }, 'Yes.'), told: { date: null } },
  { name: 'no id', raw: message({ 'Message-ID': undefined }, 'Yes.'), told: { messageId: null } },
  {
    name: 'headers in small letters, a space before the colon',
    raw: Buffer.from(
      `from: oda@hartigan.example\r\nto: imke@larkfield.example\r\nsubject : Re: Visit\r\nin-reply-to: <${LETTER_ID}>\r\n\r\nYes.\r\n`,
    ),
    told: { is: 'answer', about: IN_REPLY, words: 'Yes.' },
  },
  {
    name: 'lines that end as on old machines',
    raw: Buffer.from(
      `From: oda@hartigan.example\nSubject: Re: Visit\nIn-Reply-To: <${LETTER_ID}>\n\nYes.\nOda\n`,
    ),
    told: { is: 'answer', about: IN_REPLY, words: 'Yes.\nOda' },
  },
  {
    name: 'a line of a mailbox file before the head',
    raw: Buffer.concat([
      Buffer.from('From oda@hartigan.example Fri Nov 27 10:00:00 2026\r\n'),
      message({}, 'Yes.'),
    ]),
    told: { is: 'answer', about: IN_REPLY, words: 'Yes.' },
  },
  { name: 'nothing at all', raw: Buffer.alloc(0), told: { ...OTHER, from: null, words: '' } },
  { name: 'a head and nothing else', raw: message({}, ''), told: { is: 'answer', words: '' } },
  {
    name: 'a body and no head',
    raw: Buffer.from('\r\nYes please.\r\n'),
    told: { ...OTHER, words: 'Yes please.' },
  },
  {
    name: 'no message but a file',
    raw: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0]),
    told: OTHER,
  },
];
