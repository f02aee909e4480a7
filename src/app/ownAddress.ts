/**
 * The address that people open: `APP_URL`, as https://letters.example behind a server that speaks TLS. Without it the
 * application answers by number and as localhost only, in plain HTTP.
 */
export function appUrl(): URL | undefined {
  const { APP_URL } = process.env;
  return APP_URL ? new URL(APP_URL) : undefined;
}

const BY_NUMBER = /^(?:localhost|\d{1,3}(?:\.\d{1,3}){3}|\[[\da-f:.]+\])(?::\d+)?$/i;

/**
 * Whether a request was meant for this application. A foreign name that was made to lead here (DNS rebinding) brings
 * its own Host; a number or localhost cannot be one.
 */
export function answersTo(host: string | null): boolean {
  return host !== null && (BY_NUMBER.test(host) || host.toLowerCase() === appUrl()?.host);
}

export function isUnderTls(): boolean {
  return appUrl()?.protocol === 'https:';
}
