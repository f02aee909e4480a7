/**
 * A key for something that has a name, as an address may hold it: "Before we come" is "before-we-come". Names that differ may
 * have the same.
 * @param otherwise where nothing of the name can stand in one
 */
export function keyOfName(name: string, otherwise: string): string {
  const key = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST)
    .replace(/^-|-$/g, '');
  return key || otherwise;
}

const LONGEST = 60;
