/** A stretch of a message: what its writer wrote, or what they had before them. */
export interface MailPart {
  quoted: boolean;
  text: string;
}

/**
 * “On Friday Imke Sandoval wrote:” in the languages of many mail programs; it may be broken over two or three lines. Behind the verb stands
 * nothing, or whoever wrote.
 */
const ATTRIBUTION =
  /(?<!\p{L})(?:wrote|schrieb|a écrit|escribió|ha scritto|schreef|skrev|escreveu|napisał\p{L}*|a scris|kirjoitti|написал\p{L}*)(?:\s+(?<who>[^\n:]{0,120}))?\s*[:：]$/iu;
/** How it begins where no signs stand before the lines below it. */
const BEGINS = /^(?:on|am|le|el|il|op|den|em|w dniu|dnia|în data de|på|в|\d)(?!\p{L})/iu;
/** “On Friday I wrote:” is said by whoever writes. */
const SAYS_WHO = /(?:^|\s)(?:i|we|you|he|she|they)\s+$/iu;
const MOST_ATTRIBUTION_LINES = 4;

/** “-----Original Message-----” and the like: all below it was there before. */
const DIVIDER =
  /^(?:[-_*–—]{2,}\s*(?:original(?: message|nachricht)?|ursprüngliche nachricht|weitergeleitete nachricht|forwarded message|message (?:d[’']origine|transféré)|mensaje original|messaggio (?:originale|inoltrato)|oorspronkelijk bericht|ursprungligt meddelande|mensagem original)\s*[-_*–—]{2,}|begin forwarded message:|anfang der weitergeleiteten nachricht:)$/iu;

/** The head of the message before, as some programs put it there: its first line names who wrote it. */
const HEAD_FROM = /^\*?(?:from|von|de|da|van|från|fra|od)\s*:\*?\s.*\S/iu;
const HEAD_REST =
  /^\*?(?:sent|gesendet|envoyé|enviado(?: el)?|inviato|verzonden|skickat|sendt|date|datum|fecha|data|to|an|à|para|a|aan|till|til|subject|betreff|objet|asunto|oggetto|onderwerp|ämne|emne|cc)\s*:\*?/iu;

/** A line that only parts what is above from what is below. */
const RULE = /^[-_=–—]{5,}$/;

/** A message longer than this is looked at no further; what is behind it counts as its writer's. */
const READ = 200_000;

/**
 * Parts what somebody wrote from what they had before them. Where their words stand between quoted lines each stays in
 * its place. Nothing is lost: the parts together are the text, without the empty lines around each.
 */
export function partsOfMail(text: string): MailPart[] {
  const whole = text.replace(/\r\n?/g, '\n');
  const lines = whole.slice(0, READ).split('\n');
  const rest = whole.slice(READ);
  const quoted: boolean[] = [];
  for (let i = 0; i < lines.length;) {
    if (isWholeRest(lines, i)) {
      while (i < lines.length) quoted[i++] = true;
      break;
    }
    const attribution = attributionAt(lines, i);
    if (attribution > 0) {
      for (let end = i + attribution; i < end; i++) quoted[i] = true;
      // Programs that put no sign before what they quote put all of it below.
      if (!isQuotedNext(lines, i)) while (i < lines.length) quoted[i++] = true;
      continue;
    }
    quoted[i] = /^\s{0,3}>/.test(lines[i]!);
    i++;
  }
  const parts: MailPart[] = [];
  lines.forEach((line, i) => {
    const last = parts.at(-1);
    // An empty line belongs to what it stands behind.
    if (last && (last.quoted === quoted[i] || line.trim() === '')) last.text += `\n${line}`;
    else parts.push({ quoted: quoted[i]!, text: line });
  });
  if (rest) parts.push({ quoted: parts.at(-1)?.quoted ?? false, text: rest });
  return parts
    .map(({ quoted: is, text: words }) => ({ quoted: is, text: trimmed(words) }))
    .filter((part) => part.text);
}

/** What somebody wrote themselves, and what they quoted. */
export function ownWords(text: string): { own: string; quoted: string } {
  const parts = partsOfMail(text);
  const of = (is: boolean) =>
    parts
      .filter((part) => part.quoted === is)
      .map((part) => part.text)
      .join('\n\n');
  return { own: of(false), quoted: of(true) };
}

/** Whether all from a line on was there before: below a divider, or below the head of a message. */
function isWholeRest(lines: readonly string[], i: number): boolean {
  const line = lines[i]!.trim();
  if (DIVIDER.test(line)) return true;
  const head = RULE.test(line) ? nextWords(lines, i + 1) : i;
  if (head === undefined || !HEAD_FROM.test(lines[head]!.trim())) return false;
  // One line that begins with “From:” is a sentence; with two more of a head below it, it is one.
  const below = lines.slice(head + 1, head + 7).filter((one) => HEAD_REST.test(one.trim()));
  return below.length >= 2;
}

/** How many lines from here on say who wrote what follows; 0: none. */
function attributionAt(lines: readonly string[], i: number): number {
  const first = lines[i]!.trim();
  if (!first || first.startsWith('>')) return 0;
  let joined = '';
  for (let many = 1; many <= MOST_ATTRIBUTION_LINES && i + many <= lines.length; many++) {
    const line = lines[i + many - 1]!.trim();
    if (!line || joined.length + line.length > 500) return 0;
    joined = joined ? `${joined} ${line}` : line;
    if (line.endsWith(':') || line.endsWith('：')) {
      const found = ATTRIBUTION.exec(joined);
      const who = found?.groups?.who?.trim() ?? '';
      // “On Monday I wrote down what I need:” is a sentence, and so is what stands in the line before.
      const isOne =
        found && !SAYS_WHO.test(joined.slice(0, found.index)) && (!who || /^[\p{Lu}<"“'(]/u.test(who));
      return isOne && (BEGINS.test(joined) || (many === 1 && isQuotedNext(lines, i + many))) ? many : 0;
    }
  }
  return 0;
}

function isQuotedNext(lines: readonly string[], i: number): boolean {
  const next = nextWords(lines, i);
  return next !== undefined && /^\s{0,3}>/.test(lines[next]!);
}

function nextWords(lines: readonly string[], i: number): number | undefined {
  for (let j = i; j < Math.min(lines.length, i + 4); j++) if (lines[j]!.trim()) return j;
  return undefined;
}

/** Without the empty lines around it. */
function trimmed(words: string): string {
  const lines = words.split('\n').map((line) => line.trimEnd());
  const from = lines.findIndex(Boolean);
  return from < 0 ? '' : lines.slice(from, lines.findLastIndex(Boolean) + 1).join('\n');
}
