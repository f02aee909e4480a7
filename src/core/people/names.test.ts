import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familyName, fullName, givenName, greetingName, honorificOf } from './names';
import { partName } from './partName';

const list = new Intl.ListFormat('en-GB');
const and = (names: string[]) => list.format(names);
const parts = (name: string) => partName(name).persons;

describe('one person’s name in one string', () => {
  it.each([
    ['Oda Hartigan', 'Oda', 'Hartigan'],
    ['Marta de la Cruz', 'Marta', 'de la Cruz'],
    ['Joost van der Meulen', 'Joost', 'van der Meulen'],
    ['Caoimhe Ó Briain', 'Caoimhe', 'Ó Briain'],
    ['Brandreth, Hale', 'Hale', 'Brandreth'],
    ['de la Cruz, Marta', 'Marta', 'de la Cruz'],
    ['Wen Lin', 'Wen', 'Lin'],
    ['Padraig O’Connell', 'Padraig', 'O’Connell'],
    ['Rosalind Pemberton-Hale', 'Rosalind', 'Pemberton-Hale'],
    ['Anna Maria Weiss', 'Anna Maria', 'Weiss'],
    ['Tom E Reyes', 'Tom E', 'Reyes'],
    ['Van Morley', 'Van', 'Morley'],
    ['Ludo von und zu Arnhold', 'Ludo', 'von und zu Arnhold'],
    ['Idris ap Rhodri', 'Idris', 'ap Rhodri'],
    ['Iñaki Ortega y Vidal', 'Iñaki', 'Ortega y Vidal'],
    ['Siún Ní Laoghre', 'Siún', 'Ní Laoghre'],
    ['  Ulla   Ivarsson ', 'Ulla', 'Ivarsson'],
  ])('%s is %s, of the family %s', (name, given, family) => {
    expect(parts(name)).toEqual([{ given, family }]);
  });

  it('may be a single name', () => expect(parts('Sunniva')).toEqual([{ given: 'Sunniva' }]));

  it('may begin with a particle', () =>
    expect(parts('van der Meulen')).toEqual([{ family: 'van der Meulen' }]));

  it.each([
    ['Dr. Marta de la Cruz', 'Dr.', 'Marta', 'de la Cruz'],
    ['Prof. Dr. Hanna Weiss', 'Prof. Dr.', 'Hanna', 'Weiss'],
    ['Frau Jannike Vollrath', 'Frau', 'Jannike', 'Vollrath'],
  ])('%s has the honorific %s', (name, honorific, given, family) => {
    expect(parts(name)).toEqual([{ honorific, given, family }]);
  });

  it('knows suffixes', () => {
    expect(parts('Clarence Jerome Jr.')).toEqual([{ given: 'Clarence', family: 'Jerome', suffix: 'Jr.' }]);
    expect(parts('Hanna Weiss, PhD')).toEqual([{ given: 'Hanna', family: 'Weiss', suffix: 'PhD' }]);
    expect(parts('Yo-Yo Ma')).toEqual([{ given: 'Yo-Yo', family: 'Ma' }]);
  });

  it('with an honorific alone has only a family name', () => {
    expect(parts('Mrs Adler')).toEqual([{ honorific: 'Mrs', family: 'Adler' }]);
  });
});

describe('a couple in one string', () => {
  it.each([
    ['Ada and Tom Reyes', 'Ada', 'Reyes', 'Tom', 'Reyes'],
    ['Ada & Tom Reyes', 'Ada', 'Reyes', 'Tom', 'Reyes'],
    ['Anjali Rao and Dev Mehra', 'Anjali', 'Rao', 'Dev', 'Mehra'],
    ['Reyes, Ada and Tom', 'Ada', 'Reyes', 'Tom', 'Reyes'],
    ['Hanna und Ole van der Meulen', 'Hanna', 'van der Meulen', 'Ole', 'van der Meulen'],
  ])('%s', (name, given1, family1, given2, family2) => {
    const [one, two] = parts(name);
    expect([one.given, one.family, two?.given, two?.family]).toEqual([given1, family1, given2, family2]);
  });

  it('by their honorifics share the family name', () => {
    expect(parts('Mr and Mrs Reyes')).toEqual([
      { honorific: 'Mr', family: 'Reyes' },
      { honorific: 'Mrs', family: 'Reyes' },
    ]);
  });
});

describe('the greeting name', () => {
  it.each([
    [{ name: 'Margareta Quist', preferred_name: 'Mags' }, 'Mags'],
    [{ name: 'Quist', given_name: 'Margareta', family_name: 'Quist' }, 'Margareta'],
    [{ name: 'Ada and Tom Reyes', kind: 'household' }, 'Ada and Tom'],
    [{ name: 'Mr and Mrs Calder', kind: 'household' }, 'Mr and Mrs Calder'],
    [{ name: 'Dr Adler' }, 'Dr Adler'],
    [{ name: 'Weiss', family_name: 'Weiss', honorific: 'Frau' }, 'Frau Weiss'],
    [{ name: 'Thornholt College', kind: 'organisation' }, 'Thornholt College'],
    [{ name: 'Bell and Sons', kind: 'organisation' }, 'Bell and Sons'],
    [{ family_name: 'Vane' }, 'Vane'],
    [{ name: 'The Wray family', kind: 'household' }, 'Wray family'],
    [{ name: 'Ada, Tom and Nell Reyes', kind: 'household' }, 'Ada, Tom and Nell'],
    [{ name: 'Mr. J. Smith' }, 'Mr Smith'],
    [{ name: 'J. Smith' }, 'J. Smith'],
    [{ name: 'J. and A. Smith', kind: 'household' }, 'J. and A. Smith'],
    [{ given_name: 'J.', family_name: 'Smith', honorific: 'Mrs.' }, 'Mrs Smith'],
    [{ name: 'Mr. and Mrs. Reyes', kind: 'household' }, 'Mr and Mrs Reyes'],
    [{ name: 'Saltby Moving and Haulage', kind: 'partner' }, 'Saltby Moving and Haulage'],
    [{ name: 'Saltby Moving', given_name: 'Petra', kind: 'partner' }, 'Petra'],
    [{ full_name: 'Imke Sandoval' }, 'Imke'],
  ])('of %o is %s', (record, expected) => expect(greetingName(record, and)).toBe(expected));

  it('is missing only without any name', () => {
    expect(greetingName({}, and)).toBeUndefined();
    expect(greetingName({ name: '', family_name: '' }, and)).toBeUndefined();
  });
});

describe('the parts of a name in one string', () => {
  it.each([
    [{ name: 'Ada and Tom Reyes', kind: 'household' }, 'Ada and Tom', 'Reyes', undefined],
    [{ name: 'Anjali Rao and Dev Mehra', kind: 'household' }, 'Anjali and Dev', undefined, undefined],
    [{ name: 'Dr Marta de la Cruz' }, 'Marta', 'de la Cruz', 'Dr'],
    [{ name: 'J. Smith' }, undefined, 'Smith', undefined],
    [{ name: 'Thornholt College', kind: 'organisation' }, undefined, undefined, undefined],
    [{ name: 'Marta Cruz', given_name: 'Marta', family_name: 'Vane' }, 'Marta', 'Vane', undefined],
  ])('%o', (record, given, family, honorific) => {
    expect([givenName(record, and), familyName(record), honorificOf(record)]).toEqual([
      given,
      family,
      honorific,
    ]);
  });
});

describe('the full name', () => {
  it('is as written, else the parts', () => {
    expect(fullName({ name: 'Oda Hartigan' })).toBe('Oda Hartigan');
    expect(fullName({ given_name: 'Hale', family_name: 'Brandreth' })).toBe('Hale Brandreth');
    expect(fullName({})).toBeUndefined();
  });
});

describe('any name', () => {
  const word = fc.oneof(
    fc.constantFrom('Mr', 'and', 'de', 'la', 'Jr.', ',', '&', 'von', 'y', 'PhD', "O'", 'Ó', '.', 'der'),
    fc.string({ minLength: 1, maxLength: 6 }),
  );
  const anyName = fc.array(word, { maxLength: 8 }).map((words) => words.join(' '));

  it('greets with something, unless there is nothing but space', () => {
    fc.assert(
      fc.property(anyName, fc.constantFrom('person', 'household', 'organisation'), (name, kind) => {
        expect(Boolean(greetingName({ name, kind }, and))).toBe(name.trim() !== '');
      }),
      { numRuns: 2000 },
    );
  });

  it('of any length is parted at once', () => {
    for (const name of ['a, '.repeat(50_000), 'von '.repeat(50_000), 'x'.repeat(1e6)]) {
      expect(greetingName({ name }, and)).toBe(name.trim());
    }
  });
});
