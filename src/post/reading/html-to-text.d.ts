/** What of the package is used: it ships no types of its own. */
declare module 'html-to-text' {
  interface Selector {
    selector: string;
    format?: string;
    options?: Readonly<Record<string, unknown>>;
  }
  export function htmlToText(
    html: string,
    options: { wordwrap: false; selectors: readonly Selector[]; limits: { maxDepth: number } },
  ): string;
}
