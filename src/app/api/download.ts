import { FILE_SIZE } from '../../core/files/limits';

/** A file to be kept on a device: no browser opens it as a page of ours. @param none what is said where there is none */
export function download(file: { name: string; content: Buffer } | undefined, none: string): Response {
  if (!file) return new Response(none, { status: 404 });
  // RFC 6266 with RFC 8187.
  const name = encodeURIComponent(file.name).replace(
    /['()*]/g,
    (letter) => `%${letter.charCodeAt(0).toString(16)}`,
  );
  return new Response(new Uint8Array(file.content), {
    headers: {
      'content-type': 'application/octet-stream',
      // Told also to who asks for the head alone, where the length is not.
      [FILE_SIZE]: String(file.content.length),
      'content-disposition': `attachment; filename*=UTF-8''${name}`,
      'content-security-policy': "default-src 'none'; sandbox",
      'x-content-type-options': 'nosniff',
    },
  });
}
