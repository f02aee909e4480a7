import { letterNews } from '../../../server/news/letterNews';
import { asMember } from '../asMember';

/** A line that says nothing goes out so often, so that nothing between takes the connection for dead; in milliseconds. */
const BEAT = 20_000;
/** After so long it ends, and is asked for again by whoever is still signed in. */
const LONGEST = 15 * 60_000;

/**
 * Tells, as long as it is heard (server-sent events), that something has become of a letter of the business: never what. With
 * `?within=MILLISECONDS` at once, where that has been in the last so many.
 */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, ({ business_id }) => {
    if (!request.headers.get('accept')?.includes('text/event-stream'))
      return Promise.resolve(
        Response.json({ error: 'This is heard as a stream of events.' }, { status: 406 }),
      );
    return Promise.resolve(
      new Response(newsOf(business_id, request.signal, withinOf(request)), {
        headers: {
          'content-type': 'text/event-stream',
          'cache-control': 'no-store, no-transform',
          'x-accel-buffering': 'no',
        },
      }),
    );
  });
}

function withinOf({ url }: Request): number {
  const within = Number(new URL(url).searchParams.get('within'));
  return Number.isFinite(within) ? Math.min(within, LONGEST) : 0;
}

function newsOf(business_id: string, gone: AbortSignal, within: number): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let end = () => {};
  return new ReadableStream({
    start(stream) {
      const say = (line: string) => stream.enqueue(encoder.encode(`${line}\n\n`));
      const stop = letterNews().hear(business_id, () => say('event: letters\ndata:'), within);
      const beat = setInterval(() => say(':'), BEAT);
      const over = setTimeout(() => end(), LONGEST);
      end = () => {
        end = () => {};
        stop();
        clearInterval(beat);
        clearTimeout(over);
        try {
          stream.close();
        } catch {
          // Whoever heard it has closed it.
        }
      };
      gone.addEventListener('abort', () => end());
      say('retry: 2000');
    },
    cancel: () => end(),
  });
}
