/** Words by which a letter in a language shows what it is about; the letters before and after a word are of any language. */
export interface Cues {
  /** something goes along with it */
  attached: RegExp;
  /** it asks for what should have been paid */
  reminder: RegExp;
  /** what it says of a visit is still to come */
  coming: RegExp;
  /** … is over */
  over: RegExp;
  /** how it greets; the name is what follows */
  greeting: RegExp;
  /** words that greet everybody, without a name */
  anybody: RegExp;
  /** the day that follows ends something, and is not one that is offered */
  until: RegExp;
}

/** Words by themselves. */
const words = (source: string) => new RegExp(`(?<!\\p{L})(?:${source})(?!\\p{L})`, 'iu');

const ENGLISH: Cues = {
  attached: words(
    "(?<!not |isn’t |isn't |semi-)(?:attached|enclosed)(?! (?:to|garden|yard|porch|space|garage|house|conservatory))|attachments?|(?:I|we) (?:attach|enclose)|(?:I|we)(?:’m|'m|’re|'re| am| are) (?:attaching|enclosing)|find (?:attached|enclosed)",
  ),
  reminder: words(
    'overdue|past due|reminders?|(?:has|have) not (?:yet )?reached us|(?:is|are|remains?) still (?:open|unpaid|owing|outstanding|due)|(?:fell|has fallen|was) due|not (?:yet )?been paid',
  ),
  coming: words(
    "will|shall|we come|we are coming|we’ll|we'll|I’ll|I'll|comes to|look(?:ing)? forward|see you|is booked|are booked|to confirm|please leave|until then|coming to you|going to",
  ),
  over: words(
    'was|were|had|came|been|thank|thanks|since|last|ago|did|after we|looked|tuned|ended|finished|moved|missed|sorry',
  ),
  greeting: /^\s*(?:hello|hi|dear|good (?:morning|afternoon|evening))\s+(.+?)\s*[,!.:–-]?\s*$/iu,
  anybody: words(
    'all|both|everybody|everyone|there|again|team|sir|madam|you|colleagues?|friends?|neighbours?',
  ),
  until: /(?<!\p{L})(?:until|till|by|before)(?: the)?(?: end of)?\s$/iu,
};

const GERMAN: Cues = {
  attached: words(
    '(?<!nicht )(?:anbei|beiliegend\\p{L}*|beigefügt\\p{L}*|angehängt\\p{L}*)|(?:im|als) anhang|anlage|liegt bei|füge(?:n)? .{0,60} bei|hänge(?:n)? .{0,60} an(?=\\s*(?:[.,;!]|$))',
  ),
  reminder: words(
    'überfällig\\p{L}*|mahnung|zahlungserinnerung|noch nicht (?:eingegangen|bezahlt|erreicht)|noch offen|war fällig|fällig gewesen',
  ),
  coming: words(
    'wird|werden|werde|kommen wir|wir kommen|kommt|komme|freuen uns|freue mich|bis dann|bestätigen|bitte lassen',
  ),
  over: words(
    'war|waren|wurde|wurden|hatte|hatten|danke|dank|seit|letzte\\p{L}*|vor|gestimmt|gewesen|kam|kamen',
  ),
  greeting:
    /^\s*(?:hallo|guten (?:tag|morgen|abend)|liebe[rs]?|sehr geehrte[rs]?|grüß gott|moin)\s+(.+?)\s*[,!.:–-]?\s*$/iu,
  anybody: words('alle|beide|zusammen|miteinander|damen|herren|team|ihr|euch|kolleg\\p{L}*|freunde'),
  until: /(?<!\p{L})(?:bis|vor)(?: zum| dem| einschließlich)?\s$/iu,
};

const FRENCH: Cues = {
  attached: words(
    '(?<!pas )(?:ci-joint\\p{L}*|joint\\p{L}* à (?:ce|cette)|en pièces? jointes?|pièces? jointes?|annexe)|je joins|nous joignons',
  ),
  reminder: words(
    'en retard|relances?|rappel|impayée?s?|n’est pas (?:encore )?(?:parvenue?|réglée?)|était due|reste (?:due?|à payer)',
  ),
  coming: words(
    'nous viendrons|nous venons|viendra|viendrai|sera|serons|à bientôt|confirmer|au plaisir|veuillez|rendez-vous le',
  ),
  over: words('était|étaient|avons|avez|merci|depuis|dernière?|il y a|sommes venus?|est venue?'),
  greeting: /^\s*(?:bonjour|bonsoir|chère?s?|cher)\s+(.+?)\s*[,!.:–-]?\s*$/iu,
  anybody: words('tous|toutes|vous|madame|monsieur|messieurs|mesdames|équipe|ami\\p{L}*'),
  until: /(?<!\p{L})(?:jusqu[’']au|avant|d[’']ici)(?: au| le)?\s$/iu,
};

const BY_LANGUAGE: Readonly<Record<string, Cues>> = { en: ENGLISH, de: GERMAN, fr: FRENCH };

/** @param language BCP 47; undefined: there are no words for it, and nothing is said of what they would tell */
export function cuesOf(language: string): Cues | undefined {
  return BY_LANGUAGE[language.slice(0, 2).toLowerCase()];
}

/** Whether words of any language that we know say that something goes along. */
export function speaksOfAttached(text: string): { from: number; to: number } | undefined {
  for (const { attached } of Object.values(BY_LANGUAGE)) {
    const found = attached.exec(text);
    if (found) return { from: found.index, to: found.index + found[0].length };
  }
  return undefined;
}
