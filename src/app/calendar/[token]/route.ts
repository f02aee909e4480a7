import { calendarFeed } from '../../../server/calendar/calendarFeed';

type Context = { params: Promise<{ token: string }> };

/** The bookings of a business for a calendar that reads them, under an address that only its member knows. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { token } = await params;
  const calendar = await calendarFeed(token.replace(/\.ics$/, '').slice(0, 64));
  const headers = {
    'cache-control': 'private, no-store',
    'x-content-type-options': 'nosniff',
    'x-robots-tag': 'noindex',
  };
  if (calendar === undefined) return new Response('There is no such calendar.', { status: 404, headers });
  return new Response(calendar, { headers: { ...headers, 'content-type': 'text/calendar; charset=utf-8' } });
}
