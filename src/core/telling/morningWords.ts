import { escapeHtml } from '../fill/write/escape';

/** A line of a morning letter, with where it leads within the application. */
export interface MorningLine {
  words: string;
  path: string;
}

/** What waits for a member on a morning. */
export interface Morning {
  /** "Wednesday 25 November" */
  date: string;
  /** how they are greeted */
  name: string;
  /** from whom answers wait, the longest first */
  answers: readonly MorningLine[];
  /** letters that did not go as they should, and mailboxes that cannot be read */
  trouble: readonly MorningLine[];
  /** what is worth writing */
  letters: readonly MorningLine[];
  visits: readonly MorningLine[];
}

/** So many lines stand under each heading. */
const MOST = 8;

/**
 * The words of a morning letter.
 * @param address that of the application, as people open it; undefined: nothing leads there
 * @returns undefined where nothing waits: a letter that says so would be one more to read
 */
export function morningWords(
  { date, name, answers, trouble, letters, visits }: Morning,
  address: string | undefined,
): { subject: string; text: string; html: string } | undefined {
  if (answers.length + trouble.length + letters.length === 0) return undefined;
  const parts = (
    [
      ['Answers waiting', answers],
      ['What needs you', trouble],
      ['Worth writing today', letters],
      ['Visits today', visits],
    ] as const
  ).filter(([, lines]) => lines.length > 0);
  const counts = [
    answers.length && `${answers.length} ${answers.length === 1 ? 'answer waits' : 'answers wait'}`,
    trouble.length && `${trouble.length} ${trouble.length === 1 ? 'needs' : 'need'} you`,
    letters.length && `${letters.length} to write`,
  ].filter(Boolean);
  const more = (lines: readonly MorningLine[]) =>
    lines.length > MOST ? `and ${lines.length - MOST} more` : undefined;
  const text = [
    `Good morning ${name},`,
    ...parts.map(([heading, lines]) =>
      [
        `${heading} (${lines.length})`,
        ...lines.slice(0, MOST).map(({ words }) => `- ${words}`),
        ...(more(lines) ? [`- ${more(lines)}`] : []),
      ].join('\n'),
    ),
    ...(address === undefined ? [] : [`${address}/today`]),
    WHY,
  ].join('\n\n');
  const linked = ({ words, path }: MorningLine) =>
    address === undefined
      ? escapeHtml(words)
      : `<a href="${escapeHtml(address + path)}">${escapeHtml(words)}</a>`;
  const html = [
    `<p>Good morning ${escapeHtml(name)},</p>`,
    ...parts.map(([heading, lines]) => {
      const items = lines.slice(0, MOST).map((line) => `<li>${linked(line)}</li>`);
      const rest = more(lines);
      return `<p><strong>${heading} (${lines.length})</strong></p><ul>${items.join('')}${rest ? `<li>${rest}</li>` : ''}</ul>`;
    }),
    ...(address === undefined ? [] : [`<p>${linked({ words: 'Open Today', path: '/today' })}</p>`]),
    `<p>${WHY}</p>`,
  ].join('\n');
  return { subject: `${date}: ${counts.join(', ')}`, text, html };
}

const WHY = 'You get this each morning on which something waits. Settings, How you are told, ends it.';
