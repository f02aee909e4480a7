/**
 * Whose something is on a device that several members may use: what is kept there is told apart by it, and a letter names its writer
 * by it.
 * @param business its id
 * @param member their key
 */
export function ownerKey(business: string, member: string): string {
  return `${business} ${member}`;
}
