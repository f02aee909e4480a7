import { noteOpened } from '../../../server/sending/noteOpened';

/** One transparent dot (GIF89a). */
const DOT = Uint8Array.from(atob('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7'), (letter) =>
  letter.codePointAt(0)!,
);

/** The small picture of a letter, fetched when it is shown. Whatever is asked for, it is the same one: nobody learns from it what there is. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ mark: string }> },
): Promise<Response> {
  await noteOpened((await params).mark).catch((error: unknown) => console.error(error));
  return new Response(DOT, { headers: { 'content-type': 'image/gif', 'cache-control': 'no-store' } });
}
