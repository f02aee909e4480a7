/** A text with what it was written in. */
export interface Decoded {
  text: string;
  encoding: 'UTF-8' | 'UTF-16LE' | 'UTF-16BE' | 'windows-1252';
}

const MARKS: readonly [encoding: Decoded['encoding'], bytes: readonly number[]][] = [
  ['UTF-8', [0xef, 0xbb, 0xbf]],
  ['UTF-16LE', [0xff, 0xfe]],
  ['UTF-16BE', [0xfe, 0xff]],
];

/**
 * Reads the text of a file from elsewhere: by its byte order mark (Unicode, 2.6), else as UTF-8, else as windows-1252, which old
 * programs write. Linear.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  for (const [encoding, mark] of MARKS)
    if (mark.every((byte, i) => bytes[i] === byte))
      return { text: new TextDecoder(encoding).decode(bytes.subarray(mark.length)), encoding };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' };
  }
}
