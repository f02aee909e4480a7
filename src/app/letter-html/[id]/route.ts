import { withImagesAt } from '../../../core/fill/write/images';
import { pictureAddress } from '../../../ui/document/pictureAddress';
import { oneLetter } from '../../../server/letters/oneLetter';
import { asMember } from '../../api/asMember';

type Context = { params: Promise<{ id: string }> };

/** Nothing in a letter runs, loads or leads anywhere. The frame around it may measure how long it is. */
const POLICY =
  "sandbox allow-same-origin; default-src 'none'; style-src 'unsafe-inline'; img-src 'self'; frame-ancestors 'self'";

/** A letter's own HTML, for a frame. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const letter = await oneLetter(member, (await params).id);
    if (!letter?.html) return new Response('There is no such letter.', { status: 404 });
    const html = withImagesAt(letter.html, pictureAddress);
    return new Response(page(html), {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': POLICY,
        'x-content-type-options': 'nosniff',
        'cache-control': 'private, no-store',
      },
    });
  });
}

function page(html: string): string {
  return `<!doctype html><html lang="en-GB"><head><meta charset="utf-8"><meta name="color-scheme" content="light dark"><title>Letter</title>
<style>body{margin:0;font:17px/1.55 Georgia,serif;color:#1f2933;background:#fffdf8;overflow-wrap:anywhere}a{color:#4b3f8f}@media(prefers-color-scheme:dark){body{color:#ece7dc;background:#27282b}a{color:#b8aef5}}</style>
</head><body><main>${html}</main></body></html>`;
}
