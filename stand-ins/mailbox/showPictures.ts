import { isHere } from './here';
import type { Letter } from './letters';

/** Fetches the pictures of a letter that are on this machine, as a mail program does that shows them. @throws Error where there are none */
export async function showPictures({ html }: Pick<Letter, 'html'>): Promise<void> {
  const sources = [...html.matchAll(/<img\b[^>]*?\bsrc="(https?:[^"]+)"/g)].map(([, source]) =>
    source!.replaceAll('&amp;', '&'),
  );
  const here = sources.filter(isHere);
  if (here.length === 0)
    throw new Error('This letter has no picture that is fetched from here: nothing tells that it is shown.');
  await Promise.all(here.map((source) => fetch(source)));
}
