import { escapeHtml } from './escape';

/** The pictures of a letter's HTML, as HtmlWriter writes them; no value can look like one. */
const IMAGE = /<img src="([^"]*)" alt="([^"]*)"([^>]*)>/g;

/** Whether a picture is one that the application keeps: it is named by its SHA-256, which says nothing to a reader. */
export function isKeptPicture(source: string): boolean {
  return /^[0-9a-f]{64}$/.test(source);
}

/** What the pictures of a letter are named by: a SHA-256 in the application, a path on the command line. */
export function imageSources(html: string): string[] {
  return [...new Set([...html.matchAll(IMAGE)].map(([, source]) => plain(source!)))];
}

/**
 * A letter's HTML with its pictures somewhere else.
 * @param addressOf where a picture is; undefined: nowhere, and its description stands in its place
 */
export function withImagesAt(html: string, addressOf: (source: string) => string | undefined): string {
  return html.replace(IMAGE, (_, source: string, description: string, rest: string) => {
    const address = addressOf(plain(source));
    return address === undefined
      ? description
      : `<img src="${escapeHtml(address)}" alt="${description}"${rest}>`;
  });
}

function plain(escaped: string): string {
  return escaped
    .replaceAll('&quot;', '"')
    .replaceAll('&gt;', '>')
    .replaceAll('&lt;', '<')
    .replaceAll('&amp;', '&');
}
