/** What a page is, and what can be done on it, to be read there. */
export interface Help {
  /** the pages it is about */
  on: RegExp;
  title: string;
  says: readonly (readonly [what: string, words: string])[];
}

/** The help of the application: the first that is about a page is shown there. */
const HELP: readonly Help[] = [
  {
    on: /^\/templates\/(?:arrange|rights)/,
    title: 'Arranging templates',
    says: [
      [
        'Groups',
        'A template stands in one group, or in none. A group has a name, an initial and one of six inks.',
      ],
      [
        'Moving',
        'Drag a template by its handle; with the keyboard, Space picks it up, the arrows move it, Space puts it down.',
      ],
      ['Several', 'Choose them, then say where they go.'],
      [
        'Who may',
        'An owner says who may change what everyone writes with. The others make templates of their own.',
      ],
    ],
  },
  {
    on: /^\/templates\/(?:passages|signatures|letterhead|shorthand)/,
    title: 'What many letters share',
    says: [
      ['Passages', 'Text that stands in many templates. Changed once, it is changed in all of them.'],
      [
        'Signatures',
        'A letter is signed with the usual one of whoever it comes from, else with the house’s, else with the one its template asks for.',
      ],
      ['Letterhead', 'What the house puts above and below every letter. A template may want none.'],
      [
        'Shorthand',
        'A few characters that turn into longer text when a space, Tab or Enter ends them; undo brings them back. One’s own goes before the house’s.',
      ],
      ['Names', 'Each can be called otherwise: what refers to it still does.'],
      ['Removing', 'What stands in a template is not removed before it is taken out there.'],
    ],
  },
  {
    on: /^\/templates(?:\/(?:acts|trash|new|from-letter|bring-in))?$/,
    title: 'Templates',
    says: [
      ['A template', 'A letter that is written once, with fields for what differs from client to client.'],
      ['Finding', 'The field above the list looks at names at once, and at subjects and words.'],
      [
        'Acts',
        'A template can belong to an act of the work, as an invoice that is sent. One of each is offered first.',
      ],
      [
        'From what exists',
        'A letter that was sent becomes a template by what is its client’s in it. Templates of another program come in from files; what their names mean is asked once.',
      ],
      ['Trash', 'What was thrown away can be put back.'],
    ],
  },
  {
    on: /^\/templates\//,
    title: 'Writing a template',
    says: [
      [
        'Pencil',
        'Write it like a letter. What is in small capitals is a field: one thing, which is pressed to see what it says and to change it.',
      ],
      [
        'Smart field',
        'Puts a fact at the cursor: found by record, or by what it means, as “when” or “owes”. Two braces open the list as well.',
      ],
      [
        'Its form',
        'In a field’s note: the day in full or in three days, half of the sum, two working days before. And what speaks for it where it is missing.',
      ],
      [
        'Only when',
        'Select words, or none, and say when they stand in the letter; “Say something otherwise” gives the other case.',
      ],
      [
        'Listing',
        'Records one after the other, as a sentence, bullets or a table: which, in what order, how many.',
      ],
      ['Blank', 'Something that is asked when the letter is written, and used wherever it stands.'],
      ['Passage', 'Text that other templates share.'],
      ['Gap', 'A place to fill later. No letter goes while one stands in it.'],
      [
        'Picture',
        'Chosen, dropped or pasted. Its note has its width, what it shows, where it leads, and what is cut off.',
      ],
      [
        'The line above the page',
        'Opens to what the letter starts from, whom it goes to, who signs, copies, language, what goes along, and when it is offered.',
      ],
      [
        'Goes along',
        'A file that is brought in there is one of the business’s from then on, and goes with every letter of the template.',
      ],
      [
        'Seen for',
        'The client whose facts the notes tell. “The next one with a hole” goes to the next for whom something is missing.',
      ],
      ['Ink', 'The same page filled for a real client. A trial sends it to one of you, and to nobody else.'],
      [
        'Keeping',
        'What you write is a draft until it is kept: letters use the version before. Every version can be compared and brought back.',
      ],
      ['Words', 'The same as text, for who likes that better. Nobody needs it.'],
    ],
  },
  {
    on: /^\/write/,
    title: 'Writing a letter',
    says: [
      ['The page', 'What the client will read. Change any word: the template is not touched.'],
      ['The margin', 'Which record each fact is from, and why that one. Take another there.'],
      ['With it', 'What goes along, each file to be looked at; any can be left out of this letter.'],
      ['Proof', 'A stop must be cured before the letter goes; a query may be let stand with “Stet”.'],
      ['Sending', 'It goes after a few seconds, in which it can be taken back.'],
    ],
  },
  {
    on: /^\/today/,
    title: 'Today',
    says: [
      [
        'Cards',
        'Whom to write to now, and why, worked out from the records. Read it, then send it, or let it rest.',
      ],
      ['Letters that need somebody', 'What did not go, or came back, stands first until it is dealt with.'],
    ],
  },
  {
    on: /^\/post/,
    title: 'Post',
    says: [
      [
        'Letters',
        'What is going, gone, come back and come in, the newest first. A letter’s page says what became of it.',
      ],
      [
        'Answers',
        'What somebody wrote stands first until it is answered or dealt with. An answer goes on in their thread. Who is in no record stands apart: answered, they become a client; or make an enquiry of it.',
      ],
    ],
  },
  {
    on: /^\/(?:clients|work)/,
    title: 'Clients and work',
    says: [
      ['Finding', 'By any word: a name, a number, a street, a telephone number. Accents do not matter.'],
      ['Writing', 'Each record leads to the letters that can be written from it, the likeliest first.'],
    ],
  },
];

/** What is said of a page; undefined where nothing is. */
export function helpOn(path: string): Help | undefined {
  return HELP.find(({ on }) => on.test(path));
}
