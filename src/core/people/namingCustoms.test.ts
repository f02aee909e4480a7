import { describe, expect, it } from 'vitest';
import { greetingName } from './names';
import { partName } from './partName';

const and = (names: string[]) => names.join(' and ');

/** A name as it is written, its given name, its family name; what comes before and after stands in front. */
type Case = [name: string, given: string | undefined, family: string | undefined];

function check(cases: Case[]): void {
  it.each(cases)('%s', (name, given, family) => {
    const [person] = partName(name).persons;
    expect([person.given, person.family]).toEqual([given, family]);
  });
}

describe('particles stay with the family name', () => {
  describe('Dutch and Flemish: van, de, van der, ten, ’t', () =>
    check([
      ['Joost van der Meulen', 'Joost', 'van der Meulen'],
      ['Anke de Wit', 'Anke', 'de Wit'],
      ['Pieter van den Hoek', 'Pieter', 'van den Hoek'],
      ['Maaike ten Cate', 'Maaike', 'ten Cate'],
      ['Rutger ter Braak', 'Rutger', 'ter Braak'],
      ['Hendrik van ’t Veer', 'Hendrik', 'van ’t Veer'],
      ["Liesbeth in 't Hout", 'Liesbeth', "in 't Hout"],
      ['Katrien Van Acker', 'Katrien', 'Van Acker'],
      ['Wim op den Akker', 'Wim', 'op den Akker'],
    ]));

  describe('German: von, zu, vom, zur', () =>
    check([
      ['Clara von Hagen', 'Clara', 'von Hagen'],
      ['Ludo von und zu Arnhold', 'Ludo', 'von und zu Arnhold'],
      ['Heiner vom Stein', 'Heiner', 'vom Stein'],
      ['Ute zur Linde', 'Ute', 'zur Linde'],
      ['Karl-Heinz zum Felde', 'Karl-Heinz', 'zum Felde'],
    ]));

  describe('French: de, du, de la, d’, le', () =>
    check([
      ['Solène du Val', 'Solène', 'du Val'],
      ['Étienne de la Tour', 'Étienne', 'de la Tour'],
      ['Aurore d’Aubigny', 'Aurore', 'd’Aubigny'],
      ['Yann Le Gall', 'Yann', 'Le Gall'],
      ['Maëlle des Prés', 'Maëlle', 'des Prés'],
    ]));

  describe('Spanish: de, de la, del, y', () =>
    check([
      ['Marta de la Cruz', 'Marta', 'de la Cruz'],
      ['Ramón del Río', 'Ramón', 'del Río'],
      ['Lucía de los Santos', 'Lucía', 'de los Santos'],
      ['Tomás Ortega y Vidal', 'Tomás', 'Ortega y Vidal'],
    ]));

  describe('Portuguese: da, das, do, dos, e', () =>
    check([
      ['Inês da Silva', 'Inês', 'da Silva'],
      ['Rui dos Santos', 'Rui', 'dos Santos'],
      ['Beatriz do Vale', 'Beatriz', 'do Vale'],
      ['Duarte das Neves', 'Duarte', 'das Neves'],
    ]));

  describe('Italian: di, della, de, lo', () =>
    check([
      ['Chiara di Stefano', 'Chiara', 'di Stefano'],
      ['Marco della Rovere', 'Marco', 'della Rovere'],
      ['Giulia De Luca', 'Giulia', 'De Luca'],
      ['Paolo dal Pozzo', 'Paolo', 'dal Pozzo'],
      ['Elena Lo Presti', 'Elena', 'Lo Presti'],
    ]));

  describe('Irish and Scottish: Ó, Ní, Uí, Mac, Nic', () =>
    check([
      ['Caoimhe Ó Briain', 'Caoimhe', 'Ó Briain'],
      ['Siún Ní Laoghre', 'Siún', 'Ní Laoghre'],
      ['Aoife Uí Dhálaigh', 'Aoife', 'Uí Dhálaigh'],
      ['Ruairí Mac Cana', 'Ruairí', 'Mac Cana'],
      ['Mairi Nic Leòid', 'Mairi', 'Nic Leòid'],
      ['Fergus MacAllan', 'Fergus', 'MacAllan'],
    ]));

  describe('Welsh: ap, ab, ferch', () =>
    check([
      ['Idris ap Rhodri', 'Idris', 'ap Rhodri'],
      ['Owain ab Ifor', 'Owain', 'ab Ifor'],
      ['Nest ferch Gruffydd', 'Nest', 'ferch Gruffydd'],
    ]));

  describe('Arabic and Hebrew: al, bin, bint, ibn, abu, ben, bat', () =>
    check([
      ['Yusuf bin Rashid', 'Yusuf', 'bin Rashid'],
      ['Layla bint Harun', 'Layla', 'bint Harun'],
      ['Karim al Masri', 'Karim', 'al Masri'],
      ['Karim al-Masri', 'Karim', 'al-Masri'],
      ['Samir abu Nasser', 'Samir', 'abu Nasser'],
      ['Noam ben Ami', 'Noam', 'ben Ami'],
    ]));

  describe('Scandinavian: af', () => check([['Signe af Lund', 'Signe', 'af Lund']]));

  describe('with several given names, or before a capital', () =>
    check([
      ['Anna Maria van den Berg', 'Anna Maria', 'van den Berg'],
      ['Van Morley', 'Van', 'Morley'],
      ['van der Meulen', undefined, 'van der Meulen'],
      ['DE LA CRUZ, Marta', 'Marta', 'DE LA CRUZ'],
    ]));
});

describe('honorifics and suffixes are known', () => {
  const whole = (name: string) => partName(name).persons[0];
  it.each([
    ['Mr Edwin Calder', { honorific: 'Mr', given: 'Edwin', family: 'Calder' }],
    ['Mrs. Edith Ashdown', { honorific: 'Mrs.', given: 'Edith', family: 'Ashdown' }],
    ['Ms Folasade Adeyemi', { honorific: 'Ms', given: 'Folasade', family: 'Adeyemi' }],
    ['Miss Wren Tolliver', { honorific: 'Miss', given: 'Wren', family: 'Tolliver' }],
    ['Mx Robin Vane', { honorific: 'Mx', given: 'Robin', family: 'Vane' }],
    ['Dr Adler', { honorific: 'Dr', family: 'Adler' }],
    ['Prof. Dr. Hanna Weiss', { honorific: 'Prof. Dr.', given: 'Hanna', family: 'Weiss' }],
    ['Rev. Amos Pike', { honorific: 'Rev.', given: 'Amos', family: 'Pike' }],
    ['Sir Giles Harrow', { honorific: 'Sir', given: 'Giles', family: 'Harrow' }],
    ['Lady Harrow', { honorific: 'Lady', family: 'Harrow' }],
    ['Herr Vollrath', { honorific: 'Herr', family: 'Vollrath' }],
    ['Frau Dr. Jannike Vollrath', { honorific: 'Frau Dr.', given: 'Jannike', family: 'Vollrath' }],
    ['Mme Solène du Val', { honorific: 'Mme', given: 'Solène', family: 'du Val' }],
    ['M. Étienne Laurent', { honorific: 'M.', given: 'Étienne', family: 'Laurent' }],
    ['Sra. Lucía Ortega', { honorific: 'Sra.', given: 'Lucía', family: 'Ortega' }],
    ['Clarence Jerome Jr.', { given: 'Clarence', family: 'Jerome', suffix: 'Jr.' }],
    ['Clarence Jerome, Jr.', { given: 'Clarence', family: 'Jerome', suffix: 'Jr.' }],
    ['Alden Reyes III', { given: 'Alden', family: 'Reyes', suffix: 'III' }],
    ['Hanna Weiss, PhD', { given: 'Hanna', family: 'Weiss', suffix: 'PhD' }],
    ['Dame Orla Finch DBE', { honorific: 'Dame', given: 'Orla', family: 'Finch', suffix: 'DBE' }],
    ['Dr. Marta de la Cruz MBE', { honorific: 'Dr.', given: 'Marta', family: 'de la Cruz', suffix: 'MBE' }],
  ])('%s', (name, parts) => expect(whole(name)).toEqual(parts));
});

describe('“Family, Given” is understood', () => {
  check([
    ['Brandreth, Hale', 'Hale', 'Brandreth'],
    ['de la Cruz, Marta', 'Marta', 'de la Cruz'],
    ['van der Meulen, Joost', 'Joost', 'van der Meulen'],
    ['Weiss, Anna Maria', 'Anna Maria', 'Weiss'],
    ['Ashdown , Edith', 'Edith', 'Ashdown'],
    ['Meulen, Joost van der', 'Joost', 'van der Meulen'],
  ]);
});

describe('a couple gives both', () => {
  it.each([
    ['Ada and Tom Reyes', ['Ada Reyes', 'Tom Reyes'], 'Ada and Tom'],
    ['Ada & Tom Reyes', ['Ada Reyes', 'Tom Reyes'], 'Ada and Tom'],
    ['Ada + Tom Reyes', ['Ada Reyes', 'Tom Reyes'], 'Ada and Tom'],
    ['Anjali Rao and Dev Mehra', ['Anjali Rao', 'Dev Mehra'], 'Anjali and Dev'],
    ['Hanna und Ole van der Meulen', ['Hanna van der Meulen', 'Ole van der Meulen'], 'Hanna and Ole'],
    ['Aurore et Yann Le Gall', ['Aurore Le Gall', 'Yann Le Gall'], 'Aurore and Yann'],
    ['Inés y Tomás Ortega', ['Inés Ortega', 'Tomás Ortega'], 'Inés and Tomás'],
    ['Reyes, Ada and Tom', ['Ada Reyes', 'Tom Reyes'], 'Ada and Tom'],
    ['Mr and Mrs Reyes', ['Reyes', 'Reyes'], 'Mr and Mrs Reyes'],
    ['Dr and Mrs Adler', ['Adler', 'Adler'], 'Dr and Mrs Adler'],
    ['Herr und Frau Vollrath', ['Vollrath', 'Vollrath'], 'Herr und Frau Vollrath'],
    ['Mr Reyes and Ms Hale', ['Reyes', 'Hale'], 'Mr Reyes and Ms Hale'],
  ])('%s', (name, persons, greeting) => {
    const both = partName(name).persons.map(({ given, family }) => [given, family].filter(Boolean).join(' '));
    expect(both).toEqual(persons);
    expect(greetingName({ name, kind: 'household' }, and)).toBe(greeting);
  });
});

describe('a name that is not two words', () => {
  check([
    ['Sunniva', 'Sunniva', undefined],
    ['Rosalind Pemberton-Hale', 'Rosalind', 'Pemberton-Hale'],
    ['Padraig O’Connell', 'Padraig', 'O’Connell'],
    ["Nuala O'Shea", 'Nuala', "O'Shea"],
    ['Tom E. Reyes', 'Tom E.', 'Reyes'],
    ['J. B. Finch', 'J. B.', 'Finch'],
    ['Yo-Yo Ma', 'Yo-Yo', 'Ma'],
    ['Ulla\u00a0Ivarsson', 'Ulla', 'Ivarsson'],
    ['Zoe\u0308 Quist', 'Zo\u00eb', 'Quist'],
  ]);
});

describe('an organisation’s name is never parted', () => {
  it.each([
    'Thornholt College',
    'Bell and Sons',
    'Adler, Finch and Vane',
    'The Low Cellar',
    'Dr Oetken Clinic',
  ])('%s', (name) => expect(greetingName({ name, kind: 'organisation' }, and)).toBe(name));
});
