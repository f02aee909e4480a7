/** A place that was to be filled, in the style of another program or of people. */
export interface ForeignMark {
  from: number;
  to: number;
  /** as it stands there, marks included */
  words: string;
  /** what it names; empty where it only leaves room, as “____”, or asks something, as “{{#if paid}}” */
  name: string;
  /** what it says where nothing is known, as far as it tells */
  otherwise?: string;
}

const LETTER = '[\\p{L}_]';
const NAME = '[\\p{L}\\p{N}_ .:,|/()\'’"“”&+-]';

/** Marks around a name, in any common style. The longer come first. */
const STYLES: readonly RegExp[] = [
  // {{name}}, {name}, ${name}
  new RegExp(`\\$?\\{\\{\\{?\\s*(${LETTER}${NAME}{0,60}?)\\s*\\}\\}\\}?`, 'gu'),
  new RegExp(`\\$?\\{\\s*(${LETTER}${NAME}{0,60}?)\\s*\\}`, 'gu'),
  // [name], [[name]]; “[sic]” and “[…]” are an editor's
  /\[\[?(?!sic\]|…\]|\.\.\.\]|\d+\])([\p{L}_][^[\]\n]{0,60})\]\]?/giu,
  // %name%, #name#, $name$, @@name@@, *|name|*, each also doubled
  /(?<![\p{L}\d%])%%?([\p{L}_][\p{L}\p{N}_ .-]{0,40})%%?(?![\p{L}\d])/gu,
  /(?<![\p{L}\d#])##?([\p{L}_][\p{L}\p{N}_ .-]{0,40}?)##?(?![\p{L}\d])/gu,
  /(?<![\p{L}\d$])\$\$?([\p{L}_][\p{L}\p{N}_ .-]{0,40}?)\$\$?(?![\p{L}\d])/gu,
  /@@?([\p{L}_][\p{L}\p{N}_.-]{0,40})@@|\*\|([^|\n]{1,40})\|\*/gu,
  // <name>, <<name>>, «Name_1»
  /<<?([\p{L}_][\p{L}\p{N}_ .-]{0,40})>>?|«([\p{Lu}_][\p{L}\p{N}_]{0,40})»/gu,
  // CLIENT_NAME
  /(?<![\p{L}\p{N}_/-])(\p{Lu}{2,}(?:_[\p{Lu}\p{N}]+)+)(?![\p{L}\p{N}_/-])/gu,
];

/** What another program asks or repeats: {{#if paid}}, {% for … %}, {{/if}}. */
const LOGIC = /\{\{\{?\s*[#/^!>&=~][^{}\n]{0,120}\}\}\}?|\{%[^{}\n]{0,200}%\}/gu;

/** Room that was left: ____, xxxx, ???, TBC. */
const ROOM = /_{3,}|(?<![\p{L}\d])[xX]{3,}(?![\p{L}\d])|\?{3,}|(?<!\p{L})(?:TBC|TBD|TODO|N\/N)(?!\p{L})/gu;

/** What a name says to be said in its place: “first name | default: there”, “name, fallback=friend”. */
const OTHERWISE = /\s*[|,]\s*(?:(?:default|fallback|or)\s*[:=]?\s*)?["'“”]?([^"'“”|]{1,40}?)["'“”]?\s*$/iu;

/** The places in a text that were to be filled, in its order; none within another. */
export function foreignMarks(text: string): ForeignMark[] {
  const found: ForeignMark[] = [];
  for (const style of STYLES)
    for (const match of text.matchAll(style)) {
      const said = match.slice(1).find((group) => group !== undefined) ?? '';
      const otherwise = OTHERWISE.exec(said);
      found.push({
        from: match.index,
        to: match.index + match[0].length,
        words: match[0],
        name: (otherwise ? said.slice(0, otherwise.index) : said).trim(),
        ...(otherwise ? { otherwise: otherwise[1]!.trim() } : {}),
      });
    }
  for (const style of [LOGIC, ROOM])
    for (const match of text.matchAll(style))
      found.push({ from: match.index, to: match.index + match[0].length, words: match[0], name: '' });
  return apart(found);
}

/** Of marks that share characters the first, and the longer of two that begin together. */
function apart(marks: ForeignMark[]): ForeignMark[] {
  const kept: ForeignMark[] = [];
  let end = -1;
  for (const mark of marks.sort((a, b) => a.from - b.from || b.to - a.to)) {
    if (mark.from < end) continue;
    kept.push(mark);
    end = mark.to;
  }
  return kept;
}
