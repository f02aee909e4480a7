/** What the server answers, or why it did not. */
export type Answer<T> = { status: number; body: T } | { offline: true };

/** An answer that is none of ours: something between us and the server, or the server on its way down. */
const NO_WORDS = { error: 'The server did not answer properly. Try again.' };

/** What is at most so long arrives although the page is left in that moment: browsers carry on 64 kB of requests in all. */
const CARRIED_ON = 8_000;

/**
 * Asks the server for JSON, or gives it some. Never throws: no connection is an answer, too.
 * @param within so many milliseconds it is waited for, where a network that leads nowhere is to count as none
 */
export async function askServer<T>(
  path: string,
  send?: unknown,
  method = 'POST',
  within?: number,
): Promise<Answer<T>> {
  const body = send === undefined ? undefined : JSON.stringify(send);
  try {
    const response = await fetch(path, {
      cache: 'no-store',
      ...(within === undefined ? {} : { signal: AbortSignal.timeout(within) }),
      ...(body === undefined
        ? {}
        : {
            method,
            headers: { 'content-type': 'application/json' },
            body,
            keepalive: body.length <= CARRIED_ON,
          }),
    });
    // A connection that ends while the answer is on its way is none.
    return { status: response.status, body: readJson<T>(await response.text()) };
  } catch {
    return { offline: true };
  }
}

function readJson<T>(text: string): T {
  try {
    return JSON.parse(text) as T;
  } catch {
    return NO_WORDS as T;
  }
}

/** Gives the server JSON for a file that it makes of it; what else it answers is JSON. Never throws. */
export async function askForFile(path: string, send: unknown): Promise<{ file: Blob } | Answer<unknown>> {
  try {
    const headers = { 'content-type': 'application/json' };
    const response = await fetch(path, {
      method: 'POST',
      cache: 'no-store',
      headers,
      body: JSON.stringify(send),
    });
    const isFile = response.headers.get('content-type') === 'application/octet-stream';
    if (isFile) return { file: await response.blob() };
    return { status: response.status, body: readJson<unknown>(await response.text()) };
  } catch {
    return { offline: true };
  }
}
