import { lookup } from 'node:dns/promises';
import { BlockList, isIPv6 } from 'node:net';

/** What is not out on the internet (RFC 6890). */
const WITHIN = new BlockList();
for (const [address, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  WITHIN.addSubnet(address, bits, 'ipv4');
for (const [address, bits] of [
  ['::', 127],
  ['::ffff:0:0', 96],
  ['64:ff9b::', 96],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  WITHIN.addSubnet(address, bits, 'ipv6');

/** A name that leads into this machine or its network. */
class NotPublic extends Error {
  readonly code = 'NOT_PUBLIC';
}

/**
 * The address of a host that is out on the internet: what is connected to is this, so that a name cannot lead elsewhere a
 * moment later.
 * @throws NotPublic; and what looking a name up throws (ENOTFOUND, EAI_AGAIN)
 */
export async function publicAddress(host: string): Promise<string> {
  const addresses = await lookup(host, { all: true });
  const open = addresses.find(({ address }) => !WITHIN.check(address, isIPv6(address) ? 'ipv6' : 'ipv4'));
  if (!open) throw new NotPublic(`${host} leads into the network of this application.`);
  return open.address;
}
