import { htmlToText } from 'html-to-text';

/** Deeper than this no letter is nested that somebody wrote. */
const DEEPEST = 300;

const SELECTORS = [
  { selector: 'img', format: 'skip' },
  // Where a link leads is not what its writer said, and is told where it is shown.
  { selector: 'a', options: { ignoreHref: true } },
  ...[1, 2, 3, 4, 5, 6].map((level) => ({ selector: `h${level}`, options: { uppercase: false } })),
];

/** The words of a message that has HTML alone, what it quotes with a sign before each line; undefined where there is no way to tell them. */
export function wordsOfHtml(html: string): string | undefined {
  try {
    return htmlToText(html, { wordwrap: false, selectors: SELECTORS, limits: { maxDepth: DEEPEST } });
  } catch {
    // Nested until the stack ends.
    return undefined;
  }
}
