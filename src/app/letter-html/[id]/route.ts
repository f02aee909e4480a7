import { withImagesAt } from '../../../core/fill/write/images';
import { pictureAddress } from '../../../ui/document/pictureAddress';
import { oneLetter } from '../../../server/letters/oneLetter';
import { asMember } from '../../api/asMember';

type Context = { params: Promise<{ id: string }> };

/** Nothing in a letter runs, loads or leads anywhere. The frame around it may measure how long it is. */
const policy = (pictures: string) =>
  `sandbox allow-same-origin; default-src 'none'; style-src 'unsafe-inline'; img-src ${pictures}; frame-ancestors 'self'`;

/** A letter's own HTML, for a frame. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const letter = await oneLetter(member, (await params).id);
    if (!letter?.html) return new Response('There is no such letter.', { status: 404 });
    const isTheirs = letter.direction === 'in';
    const elsewhere = isTheirs && new URL(request.url).searchParams.get('pictures') === 'elsewhere';
    // What came in names no picture of ours.
    const html = isTheirs ? letter.html : withImagesAt(letter.html, pictureAddress);
    return new Response(page(html), {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': policy(isTheirs ? (elsewhere ? 'https:' : "'none'") : "'self'"),
        'referrer-policy': 'no-referrer',
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
