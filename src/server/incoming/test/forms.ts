import { IN_REPLY, message, multipart, type Awkward } from './awkward';

const TEXT = 'Content-Type: text/plain; charset=utf-8';
const HTML = 'Content-Type: text/html; charset=utf-8';
const PDF = Buffer.from('%PDF-1.7\n%âãÏÓ\n1 0 obj\n').toString('base64');
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
).toString('base64');

function form(
  name: string,
  kind: string,
  all: Parameters<typeof multipart>[1][],
  told: Awkward['told'],
): Awkward {
  const { type, body } = multipart(kind, ...all);
  return { name, raw: message(type, body), told: { is: 'answer', about: IN_REPLY, ...told } };
}

function file(type: string, name: string, content: string): [string, string] {
  return [
    `Content-Type: ${type}\r\nContent-Disposition: attachment; ${name}\r\nContent-Transfer-Encoding: base64`,
    content,
  ];
}

/** HTML, files, messages within messages, and boundaries that do not hold. */
export const FORMS: readonly Awkward[] = [
  form(
    'words beside HTML',
    'alternative',
    [
      [TEXT, 'Yes please!'],
      [HTML, '<p>Yes <b>please</b>!</p>'],
    ],
    { words: 'Yes please!' },
  ),
  form('HTML alone', 'alternative', [[HTML, '<p>Yes please!</p><p>Oda</p>']], {
    words: 'Yes please!\n\nOda',
  }),
  {
    name: 'HTML that is all of it, with a quoted letter',
    raw: message(
      { 'Content-Type': 'text/html; charset=utf-8' },
      '<div>Yes please!</div><div>On Friday Imke wrote:</div><blockquote><p>Hello Oda</p></blockquote>',
    ),
    told: { words: 'Yes please!', quoted: 'On Friday Imke wrote:\n\n> Hello Oda' },
  },
  {
    name: 'HTML that is never closed',
    raw: message({ 'Content-Type': 'text/html' }, '<table><tr><td>Yes<b>please<div>'),
    told: { is: 'answer' },
  },
  form(
    'a file with a name beyond ASCII',
    'mixed',
    [[TEXT, 'Here it is.'], file('application/pdf', "filename*=utf-8''Pl%C3%A4ne.pdf", PDF)],
    {
      words: 'Here it is.',
      files: [['Pläne.pdf', 'application/pdf']],
    },
  ),
  form(
    'a file that is not what it is called',
    'mixed',
    [[TEXT, 'A photo.'], file('application/pdf', 'filename="plan.pdf"', PNG)],
    {
      files: [['plan.pdf', 'image/png']],
    },
  ),
  form(
    'a file that would lie elsewhere',
    'mixed',
    [[TEXT, 'Here.'], file('application/octet-stream', 'filename="../../etc/passwd"', 'WA==')],
    {
      files: [['passwd', 'application/octet-stream']],
    },
  ),
  form(
    'a file without a name',
    'mixed',
    [
      [TEXT, 'A photo.'],
      ['Content-Type: image/png\r\nContent-Transfer-Encoding: base64', PNG],
    ],
    {
      files: [['File 1.png', 'image/png']],
    },
  ),
  form(
    'a name that turns round',
    'mixed',
    [[TEXT, 'Here.'], file('application/octet-stream', "filename*=utf-8''price%E2%80%AEfdp.exe", 'WA==')],
    {
      files: [['pricefdp.exe', 'application/octet-stream']],
    },
  ),
  form(
    'a picture in its words',
    'related',
    [
      [HTML, '<p>Yes.</p><img src="cid:a@b">'],
      [
        'Content-Type: image/png; name=p.png\r\nContent-ID: <a@b>\r\nContent-Disposition: inline\r\nContent-Transfer-Encoding: base64',
        PNG,
      ],
    ],
    {
      files: [['p.png', 'image/png']],
    },
  ),
  form(
    'a message sent along',
    'mixed',
    [
      [TEXT, 'See below.'],
      [
        'Content-Type: message/rfc822',
        'From: per@hartigan.example\r\nSubject: Key\r\n\r\nThe key is with Per.',
      ],
    ],
    {
      words: 'See below.',
      files: [['File 1', 'message/rfc822']],
    },
  ),
  form(
    'words in two parts',
    'mixed',
    [
      [TEXT, 'Yes.'],
      [TEXT, 'And the key?'],
    ],
    { words: 'Yes.\nAnd the key?' },
  ),
  {
    name: 'a boundary that never comes',
    raw: message({ 'Content-Type': 'multipart/mixed; boundary="never"' }, 'Yes please.'),
    told: { is: 'answer', about: IN_REPLY },
  },
  {
    name: 'no boundary said',
    raw: message({ 'Content-Type': 'multipart/mixed' }, '--x\n\nYes.\n--x--'),
    told: { is: 'answer', about: IN_REPLY },
  },
  {
    name: 'a boundary that is not closed',
    raw: message({ 'Content-Type': 'multipart/mixed; boundary=x' }, `--x\n${TEXT}\n\nYes please.\n`),
    told: { is: 'answer', words: 'Yes please.' },
  },
  {
    name: 'a boundary with another one in it',
    raw: message(
      { 'Content-Type': 'multipart/mixed; boundary=x' },
      `--x\nContent-Type: multipart/alternative; boundary=xx\n\n--xx\n${TEXT}\n\nYes please.\n--xx--\n--x--\n`,
    ),
    told: { words: 'Yes please.' },
  },
  {
    name: 'words before and behind the parts',
    raw: message(
      { 'Content-Type': 'multipart/mixed; boundary=x' },
      `You cannot read this.\n--x\n${TEXT}\n\nYes please.\n--x--\nNor this.`,
    ),
    told: { words: 'Yes please.' },
  },
  {
    name: 'lines that flow',
    raw: message(
      { 'Content-Type': 'text/plain; charset=utf-8; format=flowed' },
      'Yes please, come \non Friday.\n\n> Hello Oda\n',
    ),
    told: { words: 'Yes please, come on Friday.', quoted: '> Hello Oda' },
  },
  {
    name: 'an invitation',
    raw: message(
      multipart('mixed').type,
      multipart(
        'mixed',
        [TEXT, 'Friday?'],
        ['Content-Type: text/calendar; method=REQUEST', 'BEGIN:VCALENDAR\r\nEND:VCALENDAR'],
      ).body,
    ),
    told: { words: 'Friday?' },
  },
];
