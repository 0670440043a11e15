import { createHmac } from 'node:crypto';
import ipaddr from 'ipaddr.js';

/** An IPv6 network of one household or office: its first 64 bits (RFC 4291, section 2.5.4). */
const NETWORK_BYTES = 8;

/** The network that an address is in: of IPv6 its first half, which a device keeps while it changes the rest; of IPv4 itself. */
export function networkOf(address: string): string {
  if (!ipaddr.isValid(address)) return address;
  const parsed = ipaddr.process(address);
  const bytes = parsed.toByteArray();
  return bytes.slice(0, parsed.kind() === 'ipv6' ? NETWORK_BYTES : bytes.length).join('.');
}

/**
 * What is kept of the network that a session was opened from: it names no address.
 * @param secret the server's own
 */
export const networkHash =
  (secret: string) =>
  (address: string): Buffer =>
    createHmac('sha256', secret)
      .update(`network ${networkOf(address)}`)
      .digest();

export type NetworkHash = ReturnType<typeof networkHash>;
