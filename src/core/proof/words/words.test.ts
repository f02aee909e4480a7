import { describe, expect, it } from 'vitest';
import { blankLetterKey } from '../../template/blankLetter';
import { proofOf, type Given } from '../test/proofOf';

/** What the proof says of words that a writer has typed, by what its marks are known by. */
function typed(words: string, given: Given = {}): string[] {
  return proofOf('Hello {{recipient.greeting_name}},\n\nwords', {
    ...given,
    typed: [['words', words], ...(given.typed ?? [])],
  }).map(({ id }) => id);
}

describe('a blank letter', () => {
  const blank = (given: Given = {}) =>
    proofOf('', {
      ...given,
      choices: {
        template: blankLetterKey('invoice', undefined, 'en-GB'),
        reply: { to: 'x', subject: 'The key' },
        ...given.choices,
      },
    }).map(({ id }) => id);

  it('that says nothing is asked about, until it says something or something goes along', () => {
    expect(blank()).toContain('nothing said');
    expect(blank({ typed: [['Hello', 'I am late. Hello']] })).not.toContain('nothing said');
    expect(blank({ choices: { papers: ['invoice pdf'] } })).not.toContain('nothing said');
  });

  it('alone is asked that, where it has a subject', () => {
    expect(proofOf('').map(({ id }) => id)).not.toContain('nothing said');
    expect(blank({ choices: { reply: undefined as never } })).toEqual(['subject']);
  });
});

describe('a word that stands twice', () => {
  it.each([
    ['We will come to to you.', 'twice to'],
    ['the the piano', 'twice the'],
    ['The the piano', 'twice the'],
    ['we looked at it and and it is well', 'twice and'],
    ['Wir kommen kommen morgen', 'twice kommen'],
    ['pour pour vous', 'twice pour'],
  ])('“%s” is a query', (words, id) => expect(typed(words).join()).toContain(id));

  it.each([
    'He had had it tuned before.',
    'I think that that will do.',
    'Sind das die, die die Tasten machen?',
    'Nous nous voyons lundi.',
    'It is very very cold.',
    'We meet in Baden Baden.',
    'to, to',
    'twenty-two two-step',
    'Come in. In the room it is warm.',
    'no, no and no',
  ])('“%s” is none', (words) => expect(typed(words).join()).not.toContain('twice'));

  it('is put right where it stands', () => {
    const [mark] = proofOf('words', { typed: [['words', 'come to to you']] });
    expect(mark).toMatchObject({ at: { line: 1, from: 5, to: 10 }, cure: { words: 'Once', put: 'to' } });
  });
});

describe('a place that was to be filled', () => {
  it.each([
    ['Dear [first name], we come.', '[first name]'],
    ['Dear [[Name]], we come.', '[[Name]]'],
    ['Hello {{client.name}}', '{{client.name}}'],
    ['Hello {Name}', '{Name}'],
    ['Hello ${firstName}', '${firstName}'],
    ['Hello %FIRSTNAME%,', '%FIRSTNAME%'],
    ['Hello #name#,', '#name#'],
    ['Hello $NAME$,', '$NAME$'],
    ['Hello @@name@@,', '@@name@@'],
    ['Hello *|FNAME|*,', '*|FNAME|*'],
    ['Hello <name>,', '<name>'],
    ['Hello <<First Name>>,', '<<First Name>>'],
    ['Hello «First_Name»,', '«First_Name»'],
    ['Your ORDER_NUMBER is', 'ORDER_NUMBER'],
    ['The price is £____', '____'],
    ['Call me on 01632 xxx', 'xxx'],
    ['The day is ???', '???'],
    ['The day is TBC.', 'TBC'],
    ['Hello N/N,', 'N/N'],
  ])('“%s” is a query', (words, gap) => expect(typed(words)).toContain(`gap ${gap} 2`));

  it.each([
    'We take 20% off and 30% more.',
    'It costs $5 or $10, not #1 and #2.',
    'See the note [1] below, [sic] and […].',
    'if a < b and c > d',
    'Write to me <3',
    'We say « bonjour » and »hallo« and „guten Tag“.',
    'A4 and the NATO alphabet, by DHL/UPS.',
    'Really? Yes! Well … then.',
    'Route 66, room X, size XX',
    'Use the e_mail or the file_name.txt.',
    '50% of the sum, i.e. half; 5 % more',
  ])('“%s” is none', (words) => expect(typed(words).filter((id) => id.startsWith('gap'))).toEqual([]));

  it.each([
    ['Hello ,', 'gap Hello 2'],
    ['Dear ! We', 'gap Dear 2'],
    ['We come on Monday , as said', 'gap  2'],
    ['Your number () is', 'gap () 2'],
    ['We call it “ ”.', 'gap “ ” 2'],
  ])('what is left of a sentence: “%s”', (words, id) => expect(typed(words)).toContain(id));

  it('is none in what a record says, nor in the address of a link', () => {
    const records = { clients: [{ key: 'c1', name: 'Oda [Sid] Hartigan', email: 'oda@hartigan.example' }] };
    const ids = proofOf('{{client.name}} [site](https://larkfield.example)', { records }).map(({ id }) => id);
    expect(ids).toEqual([]);
  });
});

describe('capitals', () => {
  it.each([
    'PLEASE PAY THIS INVOICE AT ONCE, WE HAVE WAITED LONG ENOUGH FOR IT.',
    'BITTE ZAHLEN SIE DIESE RECHNUNG SOFORT, WIR HABEN LANGE GENUG GEWARTET.',
  ])('“%s” is a query', (words) => expect(typed(words)).toContain('capitals'));

  it.each([
    'THANK YOU',
    'LPC-1048',
    'We met at the BBC, the NHS and the RSPB, and it was a good day for all.',
  ])('“%s” is none', (words) => expect(typed(words)).not.toContain('capitals'));
});

describe('the subject', () => {
  const of = (subject: string, name: string) => proofOf('x', { subject, name }).map(({ id }) => id);
  it('that is what the house calls the template is a query', () => {
    expect(of('First reminder', 'First reminder')).toEqual(['internal subject first reminder']);
    expect(of('first Reminder', 'First reminder')).toEqual(['internal subject first reminder']);
  });
  it.each([
    ['Invoice K-101 is open', 'First reminder'],
    ['Your instrument is with us', 'Your instrument is with us'],
    ['Is it time again?', 'Is it time again?'],
    ['Unser Termin', 'Unser Termin'],
  ])('“%s” of “%s” is none', (subject, name) => expect(of(subject, name)).toEqual([]));
  it('that is empty is a stop', () => {
    expect(proofOf('x', { typed: [['S', '']] }).map(({ kind, id }) => `${kind} ${id}`)).toEqual([
      'stop subject',
    ]);
  });
});
