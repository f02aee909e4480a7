import type { Node } from '@tiptap/pm/model';
import { ReplaceStep, type Transform } from '@tiptap/pm/transform';

/** Makes a page another one by replacing only the part that differs. */
export function replaceWhatDiffers(transform: Transform, next: Node): void {
  const { content } = transform.doc;
  const from = content.findDiffStart(next.content);
  const end = from === null ? null : content.findDiffEnd(next.content);
  if (from === null || !end) return;
  // What is the same before and behind may overlap: of "aa" and "a" both say one letter.
  const overlap = Math.max(0, from - Math.min(end.a, end.b));
  const step = new ReplaceStep(from, end.a + overlap, next.slice(from, end.b + overlap));
  if (transform.maybeStep(step).failed) transform.replaceWith(0, content.size, next.content);
}
