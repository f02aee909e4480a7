import { hasWords, type ListedTemplate, type TemplateWords } from '../../core/fitting/listedTemplate';
import type { WritingDesk } from '../../core/writing/writingDesk';
import { fetchWords, wordsHere } from './templatesHere';

/**
 * Brings the words of templates to a desk that only has them listed: from the device, else from the server.
 * @param stopped whether they are no longer wanted
 * @returns false without a connection, or when the server cannot
 */
export async function bringWords(
  desk: WritingDesk,
  keys: readonly string[],
  stopped: () => boolean = () => false,
): Promise<boolean> {
  const take = (lot: readonly TemplateWords[]) => {
    for (const one of lot) desk.bring(one);
  };
  const missing = () =>
    keys.flatMap((key): ListedTemplate[] => {
      const template = desk.template(key);
      return template && !hasWords(template) ? [template] : [];
    });
  take(await wordsHere(missing()));
  return stopped() || fetchWords(missing(), take, stopped);
}
