import { IN_REPLY, message, type Awkward } from './awkward';

const WORDS = 'Grüße, das Klavier klingt schön.';

function encoded(name: string, charset: string, bytes: Buffer, words = WORDS): Awkward {
  return {
    name,
    raw: message(
      { 'Content-Type': `text/plain; charset=${charset}`, 'Content-Transfer-Encoding': '8bit' },
      bytes,
    ),
    told: { is: 'answer', about: IN_REPLY, words },
  };
}

function subject(name: string, given: string, read: string): Awkward {
  return {
    name,
    raw: message({ Subject: given }, 'Yes.'),
    told: { is: 'answer', subject: read, words: 'Yes.' },
  };
}

/** What is written in many alphabets and encodings, and in some that are said wrongly. */
export const CHARSETS: readonly Awkward[] = [
  encoded('UTF-8', 'utf-8', Buffer.from(WORDS)),
  encoded('UTF-8 in capitals and quotes', '"UTF8"', Buffer.from(WORDS)),
  encoded('Latin 1', 'iso-8859-1', Buffer.from(WORDS, 'latin1')),
  encoded(
    'Windows 1252',
    'windows-1252',
    Buffer.from([0x93, 0x59, 0x65, 0x73, 0x94, 0x20, 0x96, 0x20, 0x80, 0x35]),
    '“Yes” – €5',
  ),
  encoded('Windows 1252 called Latin 1', 'iso-8859-1', Buffer.from([0x93, 0x59, 0x65, 0x73, 0x94]), '“Yes”'),
  encoded('Latin 15', 'iso-8859-15', Buffer.from([0xa4, 0x20, 0x35]), '€ 5'),
  encoded('Latin 2', 'iso-8859-2', Buffer.from([0xb1, 0xe6, 0xea]), 'ąćę'),
  encoded('Cyrillic', 'koi8-r', Buffer.from([0xe4, 0xc1]), 'Да'),
  encoded('Cyrillic of Windows', 'windows-1251', Buffer.from([0xc4, 0xe0]), 'Да'),
  encoded('Greek', 'iso-8859-7', Buffer.from([0xcd, 0xe1, 0xe9]), 'Ναι'),
  encoded('Japanese', 'iso-2022-jp', Buffer.from('\u001b$B$O$$\u001b(B', 'latin1'), 'はい'),
  encoded('Japanese by shifts', 'shift_jis', Buffer.from([0x82, 0xcd, 0x82, 0xa2]), 'はい'),
  encoded('Chinese', 'gb2312', Buffer.from([0xba, 0xc3]), '好'),
  encoded('Chinese of Taiwan', 'big5', Buffer.from([0xa6, 0x6e]), '好'),
  encoded('Korean', 'euc-kr', Buffer.from([0xb3, 0xd7]), '네'),
  encoded('UTF-16', 'utf-16le', Buffer.from('Ja, schön', 'utf16le'), 'Ja, schön'),
  encoded('ASCII that is not', 'us-ascii', Buffer.from(WORDS, 'utf8')),
  encoded('a charset that nobody knows', 'x-larkfield-7', Buffer.from('Yes please'), 'Yes please'),
  {
    name: 'no charset said',
    raw: message({ 'Content-Type': 'text/plain' }, Buffer.from(WORDS)),
    told: { is: 'answer', words: WORDS },
  },
  {
    name: 'no type said',
    raw: message({ 'Content-Type': undefined, 'MIME-Version': undefined }, 'Yes please.'),
    told: { is: 'answer', words: 'Yes please.' },
  },
  {
    name: 'quoted-printable with soft line ends',
    raw: message(
      { 'Content-Transfer-Encoding': 'quoted-printable' },
      'Gr=C3=BC=C3=9Fe, das Klavier klingt sch=\n=C3=B6n.',
    ),
    told: { words: WORDS },
  },
  {
    name: 'quoted-printable with signs that are none',
    raw: message({ 'Content-Transfer-Encoding': 'quoted-printable' }, 'a =ZZ b = c =3D d='),
    told: { is: 'answer' },
  },
  {
    name: 'base64',
    raw: message(
      { 'Content-Transfer-Encoding': 'base64' },
      Buffer.from(WORDS)
        .toString('base64')
        .replace(/(.{20})/g, '$1\n'),
    ),
    told: { words: WORDS },
  },
  {
    name: 'base64 that is cut off',
    raw: message(
      { 'Content-Transfer-Encoding': 'base64' },
      `${Buffer.from('Yes please').toString('base64').slice(0, 9)}`,
    ),
    told: { is: 'answer' },
  },
  {
    name: 'an encoding that nobody knows',
    raw: message({ 'Content-Transfer-Encoding': 'x-felt' }, 'Yes.'),
    told: { words: 'Yes.' },
  },
  subject('a subject by letters', '=?utf-8?q?Re=3A_Gr=C3=BC=C3=9Fe?=', 'Re: Grüße'),
  subject('a subject by bytes', '=?UTF-8?B?UmU6IEdyw7zDn2U=?=', 'Re: Grüße'),
  subject('a subject in two pieces', '=?utf-8?b?UmU6IEdyw7w=?=\r\n =?utf-8?b?w59l?=', 'Re: Grüße'),
  subject('a subject in a charset of its own', '=?iso-8859-1?q?Re:_Gr=FC=DFe?=', 'Re: Grüße'),
  subject('a subject that is not encoded', 'Re: Grüße', 'Re: Grüße'),
  subject('a subject whose code is broken', '=?utf-8?q?Re: Yes', '=?utf-8?q?Re: Yes'),
  subject('a subject over three lines', 'Re: Your\r\n visit\r\n\tin December', 'Re: Your visit in December'),
  {
    name: 'no subject',
    raw: message({ Subject: undefined }, 'Yes.'),
    told: { is: 'answer', subject: '', words: 'Yes.' },
  },
  {
    name: 'a name by letters',
    raw: message({ From: '=?utf-8?q?J=C3=B6rg_Wei=C3=9F?= <joerg@weiss.example>' }, 'Ja.'),
    told: { from: { name: 'Jörg Weiß', address: 'joerg@weiss.example' } },
  },
];
