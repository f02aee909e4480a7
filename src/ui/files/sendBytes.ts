import type { Answer } from '../writing/askServer';

/**
 * Gives the server a file's bytes, with what they add up to (RFC 9530). Never throws: no connection is an answer, too.
 * @param on.share told how much of it has arrived there, from 0 to 1
 * @param on.signal calls it off
 */
export async function sendBytes<T>(
  path: string,
  file: Blob,
  on: { share: (share: number) => void; signal?: AbortSignal },
): Promise<Answer<T | null>> {
  // A file that was taken away meanwhile cannot be read; the request then tells so.
  const digest = await digestOf(file).catch(() => undefined);
  return new Promise((resolve) => {
    // fetch tells nothing of what has been sent so far.
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.responseType = 'json';
    request.setRequestHeader('content-type', file.type || 'application/octet-stream');
    if (digest) request.setRequestHeader('content-digest', digest);
    request.upload.onprogress = ({ loaded, total }) => total > 0 && on.share(loaded / total);
    request.onload = () => resolve({ status: request.status, body: request.response as T | null });
    request.onerror = request.onabort = () => resolve({ offline: true });
    on.signal?.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

/** Undefined where the browser reckons none, without TLS. */
async function digestOf(file: Blob): Promise<string | undefined> {
  if (!globalThis.crypto?.subtle) return undefined;
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()));
  return `sha-256=:${btoa(String.fromCharCode(...sum))}:`;
}

/** What is said where a file did not come in. */
export const NO_CONNECTION = { trouble: 'There is no connection. It has not been brought in.', again: true };
export const NO_ANSWER = 'The server did not answer properly. It has not been brought in.';
