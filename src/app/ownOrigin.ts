import { headers } from 'next/headers';
import { appUrl } from './ownAddress';

/** The address that people open, as links to it from elsewhere say it: APP_URL, else the host that was asked. */
export async function ownOrigin(): Promise<string> {
  return appUrl()?.origin ?? `http://${(await headers()).get('host') ?? 'localhost'}`;
}
