/** The pictures that mail readers show, by how their content begins. */
const TYPES: readonly [type: string, bytes: readonly (number | undefined)[]][] = [
  ['image/png', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/jpeg', [0xff, 0xd8, 0xff]],
  ['image/gif', [0x47, 0x49, 0x46, 0x38]],
];

/** The media type of a picture by its content, never by its name; undefined when no mail reader shows it. */
export function pictureType(content: Uint8Array): string | undefined {
  return TYPES.find(([, bytes]) => bytes.every((byte, i) => content[i] === byte))?.[0];
}
