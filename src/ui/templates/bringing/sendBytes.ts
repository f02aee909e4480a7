import type { Answer } from '../../writing/askServer';

/**
 * Gives the server a file's bytes, with what they add up to (RFC 9530). Never throws: no connection is an answer, too.
 * @param onShare told how much of it has arrived there, from 0 to 1
 */
export async function sendBytes<T>(
  path: string,
  file: Blob,
  onShare: (share: number) => void,
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
    request.upload.onprogress = ({ loaded, total }) => total > 0 && onShare(loaded / total);
    request.onload = () => resolve({ status: request.status, body: request.response as T | null });
    request.onerror = () => resolve({ offline: true });
    request.send(file);
  });
}

/** Undefined where the browser reckons none, without TLS. */
async function digestOf(file: Blob): Promise<string | undefined> {
  if (!globalThis.crypto?.subtle) return undefined;
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()));
  return `sha-256=:${btoa(String.fromCharCode(...sum))}:`;
}
