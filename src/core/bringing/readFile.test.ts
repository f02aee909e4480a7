import { describe, expect, it } from 'vitest';
import type { CustomFieldData } from '../records/recordsFile';
import { NoSuchFile } from './openFile';
import { readFile } from './readFile';
import type { BroughtClient, BroughtRow, OwnWays } from './brought';

const utf8 = (text: string) => new TextEncoder().encode(text);
const OWN: OwnWays = {
  locale: 'en-GB',
  currency: 'GBP',
  zone: 'Europe/London',
  hourCycle: 24,
  now: Date.parse('2026-11-25T09:00:00Z'),
  fields: [],
  services: [],
};
const read = (text: string, fields: CustomFieldData[] = [], locale = 'en-GB') => {
  const file = readFile(utf8(text), { ...OWN, locale, fields });
  return { ...file, rows: file.rows as BroughtRow<BroughtClient>[] };
};
const clients = (text: string) => read(text).rows.map(({ facts }) => facts);
const doubts = (text: string, fields: CustomFieldData[] = []) =>
  read(text, fields).rows.flatMap(({ row, doubts: own }) =>
    own.map(({ column, words, message }) => `${row} ${column} “${words}”: ${message}`),
  );

describe('a table of clients', () => {
  it('in the usual columns', () => {
    expect(
      clients(
        'Name,Email,Phone,Address,Town,Postcode,Tags\nAda Reyes,ada@reyes.example,01632 960100,1 Quay,Saltby,LK2 4AA,"regular, quay"\n',
      ),
    ).toEqual([
      {
        kind: 'person',
        name: 'Ada Reyes',
        email: 'ada@reyes.example',
        phone: '01632 960100',
        address: { street: ['1 Quay'], town: 'Saltby', postcode: 'LK2 4AA' },
        tags: ['regular', 'quay'],
      },
    ]);
  });

  it.each([
    ['semicolons', 'Name;E-Mail;Telefon\r\nÄnne Groß;a@gross.example;01632 960101\r\n'],
    ['tabs', 'Name\tE-Mail\tTelefon\nÄnne Groß\ta@gross.example\t01632 960101'],
    ['bars', 'Name|E-Mail|Telefon\nÄnne Groß|a@gross.example|01632 960101'],
    ['old Mac line ends', 'Name;E-Mail;Telefon\rÄnne Groß;a@gross.example;01632 960101'],
  ])('parted by %s', (_, text) => {
    expect(clients(text)).toMatchObject([
      { name: 'Änne Groß', email: 'a@gross.example', phone: '01632 960101' },
    ]);
  });

  it.each<[string, Uint8Array, string]>([
    ['UTF-8 with a mark', new Uint8Array([0xef, 0xbb, 0xbf, ...utf8('Name\nÉdith')]), 'UTF-8'],
    ['windows-1252', new Uint8Array([...utf8('Name\n'), 0xc9, ...utf8('dith')]), 'windows-1252'],
    [
      'UTF-16',
      new Uint8Array([
        0xff,
        0xfe,
        ...new Uint8Array(new Uint16Array([...'Name\nÉdith'].map((c) => c.charCodeAt(0))).buffer),
      ]),
      'UTF-16LE',
    ],
  ])('written in %s', (_, bytes, encoding) => {
    const brought = readFile(bytes, OWN);
    expect(brought.encoding).toBe(encoding);
    expect((brought.rows[0]?.facts as BroughtClient).name).toBe('Édith');
  });

  it('with line ends and separators inside quotes, and rows counted by their lines', () => {
    const { rows: found } = read(
      'Name,Notes\n"Reyes, Ada","A dog.\nTwo cats.\n"\n,\nTom Quist,"say ""hello"""',
    );
    expect(found.map(({ row, facts }) => [row, facts?.name, facts?.notes])).toEqual([
      [2, 'Reyes, Ada', 'A dog.\nTwo cats.'],
      [6, 'Tom Quist', 'say "hello"'],
    ]);
  });

  it('with the parts of names apart, and houses with who is there', () => {
    expect(
      clients(
        'First Name,Last Name,Company,Email\nAda,Reyes,,a@reyes.example\nTom,Quist,Saltby School,office@saltby.example\n',
      ),
    ).toEqual([
      {
        kind: 'person',
        name: 'Ada Reyes',
        given_name: 'Ada',
        family_name: 'Reyes',
        email: 'a@reyes.example',
        tags: [],
      },
      {
        kind: 'organisation',
        name: 'Saltby School',
        email: 'office@saltby.example',
        notes: 'Contact: Tom Quist',
        tags: [],
      },
    ]);
  });

  it('what is no address, number, day or kind is told with its row and left out', () => {
    expect(
      doubts(
        'Name,Email,Phone,Since,Kind,Language\nAda,ada at home,ring me,31/02/2026,dragon,the old one\nTom,"a@b.example, c@d.example",1.63296E+10,3 March 2026,company,de',
      ),
    ).toEqual([
      '2 Kind “dragon”: A client is a person, a household or an organisation.',
      '2 Email “ada at home”: This is no email address. It is left out.',
      '2 Phone “ring me”: This is no telephone number. It is left out.',
      '2 Language “the old one”: A language is written as de or en-GB. It is left out.',
      '2 Since “31/02/2026”: There is no such day. It is left out.',
      '3 Email “a@b.example, c@d.example”: Several addresses: a@b.example is taken.',
      '3 Phone “1.63296E+10”: A spreadsheet has cut this number. It is left out.',
    ]);
    expect(clients('Name,Since\nTom,3 March 2026')[0]).toMatchObject({ since: '2026-03-03' });
  });

  it('days are read in the order of the business’s country', () => {
    const since = (locale: string) => read('Name,Since\nAda,03/04/2026', [], locale).rows[0]?.facts?.since;
    expect([since('en-GB'), since('en-US')]).toEqual(['2026-04-03', '2026-03-04']);
  });

  it('under a title whose cell is merged over the columns, and with merged cells below', () => {
    const text = [
      'Client list 2026,,,',
      ',,,',
      'as of May,,,',
      'Name,Email,Town,Since',
      'Ada Reyes,ada@reyes.example,Saltby,31/02/2026',
      ',,Overstrand,',
      'Tom Quist,,,1/3/2026',
    ].join('\n');
    const { rows: found, problems } = read(text);
    expect(found.map(({ row, facts }) => [row, facts?.name])).toEqual([
      [5, 'Ada Reyes'],
      [6, undefined],
      [7, 'Tom Quist'],
    ]);
    expect(found[2]!.facts).toMatchObject({ since: '2026-03-01' });
    expect(problems).toEqual([
      { line: 1, message: '“Client list 2026” is taken for a title.' },
      { line: 3, message: '“as of May” is taken for a title.' },
    ]);
    expect(doubts(text)).toEqual([
      '5 Since “31/02/2026”: There is no such day. It is left out.',
      '6  “”: There is no name in it.',
    ]);
    // A table of names alone has no title.
    expect(clients('Name\nAda Reyes\nTom Quist,and more').map((one) => one?.name)).toEqual([
      'Ada Reyes',
      'Tom Quist',
    ]);
  });

  it('a row without a name, with too many cells, or a quotation that is not closed', () => {
    expect(doubts('Name,Email\n,a@b.example\nAda,a@b.example,more,cells\n')).toEqual([
      '2  “”: There is no name in it.',
      '3  “”: It has 4 cells, and the first line 2.',
    ]);
    expect(doubts('Name,Notes\nAda,"never closed\nTom,x\n').join()).toMatch(
      /A quotation mark is not closed\./,
    );
  });

  it('without a column that is headed as a name nobody comes in', () => {
    const { rows: found, problems } = read('Colour,Size\nred,3\n');
    expect(problems).toEqual([{ line: 1, message: 'No column is headed as a name: say which one is.' }]);
    expect(found[0]?.facts).toBeUndefined();
  });

  it('the business’s own fields, each by its type', () => {
    const field = (key: string, type: CustomFieldData['type'], choices?: string[]): CustomFieldData => ({
      record: 'client',
      key,
      label: key,
      type,
      ...(choices ? { choices } : {}),
    });
    const fields = [
      field('dog', 'yes/no'),
      field('floors', 'number'),
      field('gate', 'choice', ['left', 'right']),
    ];
    expect(read('Name,Dog,Floors,Gate\nAda,yes,2.5,LEFT', fields).rows[0]?.facts?.custom).toEqual({
      dog: true,
      floors: 2.5,
      gate: 'left',
    });
    expect(doubts('Name,Dog,Floors,Gate\nAda,perhaps,many,up', fields)).toEqual([
      '2 Dog “perhaps”: This is no yes/no. It is left out.',
      '2 Floors “many”: This is no number. It is left out.',
      '2 Gate “up”: This is no choice. It is left out.',
    ]);
  });

  it('of 40,000 rows, and no more than it takes', () => {
    const rows = Array.from({ length: 40_000 }, (_, i) => `Client ${i},c${i}@post.example`).join('\n');
    expect(read(`Name,Email\n${rows}`).rows).toHaveLength(40_000);
    const { rows: none, problems } = read(`Name\n${'x\n'.repeat(50_001)}`);
    expect([none, problems]).toEqual([[], [{ line: 1, message: 'At most 50000 rows at once.' }]]);
  });
});

describe('cards', () => {
  const card = (...lines: string[]) => ['BEGIN:VCARD', ...lines, 'END:VCARD'].join('\r\n');

  it('of version 3 and 4, with what they say', () => {
    expect(
      clients(
        [
          card(
            'VERSION:3.0',
            'N:Reyes;Ada;;Dr;',
            'FN:Dr Ada Reyes',
            'EMAIL;TYPE=home:ada@reyes.example',
            'TEL;TYPE=CELL:07700 900100',
            'TEL;TYPE=HOME:01632 960100',
            'ADR;TYPE=HOME:;;1 Quay;Saltby;;LK2 4AA;',
            'CATEGORIES:regular,quay',
            'NOTE:A dog\\, and\\na cat.',
          ),
          card(
            'VERSION:4.0',
            'FN:Saltby School',
            'ORG:Saltby School',
            'KIND:org',
            'TEL;VALUE=uri:tel:+44-1632-960102',
            'LANG:de',
          ),
        ].join('\r\n'),
      ),
    ).toEqual([
      {
        kind: 'person',
        name: 'Dr Ada Reyes',
        given_name: 'Ada',
        family_name: 'Reyes',
        honorific: 'Dr',
        email: 'ada@reyes.example',
        phone: '01632 960100',
        mobile: '07700 900100',
        address: { street: ['1 Quay'], town: 'Saltby', postcode: 'LK2 4AA' },
        tags: ['regular', 'quay'],
        notes: 'A dog, and\na cat.',
      },
      { kind: 'organisation', name: 'Saltby School', phone: '+44-1632-960102', language: 'de', tags: [] },
    ]);
  });

  const PERSON = { kind: 'person', name: 'Ada Reyes', tags: [] };
  const told = (text: string) => ({ client: clients(text)[0], doubts: doubts(text) });

  it.each<[string, string[], Record<string, unknown>, string[]]>([
    [
      'a nickname',
      ['VERSION:4.0', 'FN:Ada Reyes', 'NICKNAME:Addie,Reyesie'],
      { ...PERSON, preferred_name: 'Addie' },
      [],
    ],
    [
      'a photograph in it, which is not a client’s name',
      [
        'VERSION:3.0',
        'FN:Ada Reyes',
        `PHOTO;ENCODING=b;TYPE=JPEG:${'/9j/4AAQSkZJRg'.repeat(4_000)}`,
        'EMAIL:ada@reyes.example',
      ],
      { ...PERSON, email: 'ada@reyes.example' },
      [],
    ],
    [
      'several numbers and addresses, each with what it is for',
      [
        'VERSION:4.0',
        'FN:Ada Reyes',
        'TEL;TYPE="work,voice":01632 960101',
        'TEL;TYPE="home,voice";PREF=1:01632 960100',
        'TEL;TYPE=cell:07700 900100',
        'TEL;TYPE="cell,work":07700 900101',
        'ADR;TYPE=work:;;2 Mill Lane;Thornholt;;LK4 1AA;',
        'ADR;TYPE=home;PREF=1:;;1 Quay;Saltby;;LK2 4AA;',
      ],
      {
        ...PERSON,
        phone: '01632 960100',
        mobile: '07700 900100',
        more_phones: [
          { use: 'work', number: '01632 960101' },
          { use: 'work', number: '07700 900101' },
        ],
        address: { street: ['1 Quay'], town: 'Saltby', postcode: 'LK2 4AA' },
        more_addresses: [
          { use: 'work', address: { street: ['2 Mill Lane'], town: 'Thornholt', postcode: 'LK4 1AA' } },
        ],
      },
      [],
    ],
    [
      'lines that stand in groups',
      [
        'VERSION:3.0',
        'FN:Ada Reyes',
        'item1.EMAIL:ada@reyes.example',
        'item1.X-ABLabel:Studio',
        'item2.TEL:01632 960100',
      ],
      { ...PERSON, email: 'ada@reyes.example', phone: '01632 960100' },
      [],
    ],
    [
      'a household',
      ['VERSION:4.0', 'KIND:group', 'FN:The Calders'],
      { kind: 'household', name: 'The Calders', tags: [] },
      [],
    ],
    [
      'no full name, but its parts',
      ['VERSION:3.0', 'N:Reyes;Ada;;;'],
      { ...PERSON, given_name: 'Ada', family_name: 'Reyes' },
      [],
    ],
    [
      'a name of many parts and letters',
      ['VERSION:4.0', 'FN:Caoimhe Ó Briain 🎹', 'N:Ó Briain;Caoimhe;Mary,Anne;;'],
      {
        kind: 'person',
        name: 'Caoimhe Ó Briain 🎹',
        given_name: 'Caoimhe',
        family_name: 'Ó Briain',
        tags: [],
      },
      [],
    ],
    [
      'a number that is a fax, and one that is none',
      ['VERSION:3.0', 'FN:Ada Reyes', 'TEL;TYPE=FAX:01632 960199', 'TEL:ask'],
      PERSON,
      [],
    ],
    [
      'an address that is none',
      ['VERSION:3.0', 'FN:Ada Reyes', 'EMAIL:ada at reyes'],
      PERSON,
      ['1 EMAIL “ada at reyes”: This is no email address. It is left out.'],
    ],
    [
      'properties that nobody knows',
      ['VERSION:4.0', 'FN:Ada Reyes', 'X-SKIN:dark', 'GENDER:F', 'BDAY:--0203', 'UID:urn:uuid:0'],
      PERSON,
      [],
    ],
  ])('with %s', (_, lines, client, said) => {
    expect(told(card(...lines))).toEqual({ client, doubts: said });
  });

  it.each([
    [
      'a list of others',
      ['VERSION:4.0', 'KIND:group', 'FN:Regulars', 'MEMBER:urn:uuid:1'],
      'This card is a list of other cards, and no client.',
    ],
    [
      'a list of others in an older form',
      ['VERSION:3.0', 'FN:Regulars', 'X-LIST-MEMBER:urn:uuid:1'],
      'This card is a list of other cards, and no client.',
    ],
    ['without any name', ['VERSION:4.0', 'TEL:01632 960100'], 'There is no name in it.'],
  ])('%s is refused', (_, lines, message) => {
    expect(told(card(...lines))).toEqual({ client: undefined, doubts: [`1  “”: ${message}`] });
  });

  it('long lines that are folded, and lower case', () => {
    expect(clients('begin:vcard\nversion:3.0\nfn:Ada of the very lo\n ng name\nend:vcard')[0]?.name).toBe(
      'Ada of the very long name',
    );
  });

  it('of several the preferred one is taken, and the others are told', () => {
    const text = card(
      'VERSION:4.0',
      'FN:Ada',
      'EMAIL:second@post.example',
      'EMAIL;PREF=1:first@post.example',
      'EMAIL:not one',
      'TEL;TYPE=fax:01632 960199',
    );
    expect(clients(text)[0]).toMatchObject({ email: 'first@post.example' });
    expect(clients(text)[0]).not.toHaveProperty('phone');
    expect(doubts(text)).toEqual([
      '1 EMAIL “not one”: This is no email address. It is left out.',
      '1 EMAIL “second@post.example”: A client has one of these. The first one is taken.',
    ]);
  });

  it('one that is broken keeps no other out', () => {
    const text = [
      card('VERSION:2.1', 'N:Old;Card'),
      'BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Cut off',
      card('VERSION:3.0', 'EMAIL:nobody@post.example'),
      card('VERSION:3.0', 'FN:Ada', 'this is no line'),
      card('VERSION:3.0', 'FN:Whole'),
    ].join('\r\n');
    const found = read(text).rows;
    expect(found.map(({ facts }) => facts?.name)).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
      'Whole',
    ]);
    expect(
      doubts(text).map((one) => one.replace(/^(\d+ {2}“”: This card cannot be read):.*/s, '$1')),
    ).toEqual([
      '1  “”: This card is of version 2.1. Write it anew as version 3 or 4.',
      '2  “”: This card has no end.',
      '3  “”: There is no name in it.',
      '4  “”: This card cannot be read',
    ]);
  });
});

it.each<[string, Uint8Array, string]>([
  ['nothing', new Uint8Array(), 'The file is empty.'],
  [
    'a spreadsheet',
    new Uint8Array([0x50, 0x4b, 3, 4, 0, 0, 0]),
    'This is no text: a table is saved as CSV first, cards as vCard, a calendar as iCalendar.',
  ],
  ['a page', utf8('<!DOCTYPE html><p>Ada'), 'This is neither a table nor cards nor a calendar.'],
  ['too much', new Uint8Array(20_000_001), 'A file is at most 20 MB.'],
])('%s is told for what it is', (_, bytes, message) => {
  expect(() => readFile(bytes, OWN)).toThrow(new NoSuchFile(message));
});
