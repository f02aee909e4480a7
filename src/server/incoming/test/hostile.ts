import { head, message, parts, type Awkward } from './awkward';

function nested(depth: number): string {
  let body = 'Content-Type: text/plain\r\n\r\nYes.';
  for (let i = 0; i < depth; i++)
    body = `Content-Type: multipart/mixed; boundary=b${i}\r\n\r\n--b${i}\r\n${body}\r\n--b${i}--`;
  return body;
}

const ANSWER = { is: 'answer' } as const;
const many = (count: number, one: string) => Array.from({ length: count }, () => one).join('');

/** What is made to break whoever reads it. What has to hold is that it is told what it is, and nothing else happens. */
export const HOSTILE: readonly Awkward[] = [
  {
    name: 'scripts, frames and forms',
    raw: message(
      { 'Content-Type': 'text/html' },
      '<script>alert(1)</script><iframe src="https://evil.example"></iframe><form action="https://evil.example"><input></form><p onclick="x()">Yes.</p>',
    ),
    told: { ...ANSWER, words: 'Yes.' },
  },
  {
    name: 'a style that hides words',
    raw: message({ 'Content-Type': 'text/html' }, '<style>p{display:none}</style><p>Yes.</p>'),
    told: { ...ANSWER, words: 'Yes.' },
  },
  {
    name: 'parts in parts, a thousand deep',
    raw: Buffer.from(`${head({ 'Content-Type': undefined, 'MIME-Version': '1.0' })}${nested(1000)}`),
    told: ANSWER,
  },
  {
    name: 'five thousand parts',
    raw: message(
      { 'Content-Type': 'multipart/mixed; boundary=x' },
      parts('x', ...Array.from({ length: 5000 }, () => ['Content-Type: text/plain', 'a'] as const)),
    ),
    told: ANSWER,
  },
  {
    name: 'a hundred and fifty files',
    raw: message(
      { 'Content-Type': 'multipart/mixed; boundary=x' },
      parts(
        'x',
        ...Array.from(
          { length: 150 },
          () => ['Content-Type: image/png\r\nContent-Disposition: attachment', 'a'] as const,
        ),
      ),
    ),
    told: { ...ANSWER, notes: ['It has 150 files: 50 were taken.'] },
  },
  { name: 'a header of a megabyte', raw: message({ 'X-Long': many(1_100_000, 'a') }, 'Yes.'), told: {} },
  {
    name: 'fifty thousand headers',
    raw: Buffer.from(`${head()}${many(50_000, 'X-Many: a\r\n')}\r\nYes.`),
    told: {},
  },
  {
    name: 'a subject of a megabyte of code',
    raw: message({ Subject: many(40_000, '=?utf-8?q?Re=3A?= ') }, 'Yes.'),
    told: {},
  },
  { name: 'ten thousand people', raw: message({ To: many(10_000, 'a@b.example, ') }, 'Yes.'), told: ANSWER },
  {
    name: 'ten thousand references',
    raw: message({ 'In-Reply-To': undefined, References: many(10_000, '<a@b.example> ') }, 'Yes.'),
    told: ANSWER,
  },
  {
    name: 'HTML nested fifty thousand deep',
    raw: message({ 'Content-Type': 'text/html' }, many(50_000, '<div>')),
    told: ANSWER,
  },
  {
    name: 'a line of two megabytes',
    raw: message({}, many(2_000_000, 'a')),
    told: { ...ANSWER, notes: ['Its words are very many: those at the beginning were taken.'] },
  },
  { name: 'a hundred thousand quoted lines', raw: message({}, many(100_000, '>\n')), told: ANSWER },
  {
    name: 'names that are part of every object',
    raw: Buffer.from(`${head()}__proto__: {"is":"other"}\r\nconstructor: a\r\n\r\nYes.`),
    told: ANSWER,
  },
  {
    name: 'a head within a header',
    raw: message({ Subject: 'Re: a\r\n b: c' }, 'Yes.'),
    told: { ...ANSWER, subject: 'Re: a b: c' },
  },
  { name: 'bytes of nothing', raw: message({ Subject: 'Re: \u0000\u0007a' }, 'Y\u0000es.'), told: ANSWER },
  {
    name: 'an address of a megabyte',
    raw: message({ From: `${many(1_000_00, 'a')}@b.example` }, 'Yes.'),
    told: ANSWER,
  },
  {
    name: 'a comment that is never closed',
    raw: message({ From: `${many(5000, '(')}oda@hartigan.example` }, 'Yes.'),
    told: ANSWER,
  },
  { name: 'quotes that are never closed', raw: message({ To: `${many(5000, '"a')}` }, 'Yes.'), told: ANSWER },
];
