import ipaddr from 'ipaddr.js';

/**
 * The network that a request comes from: an IPv4 address by its first 24 bits, an IPv6 address by its first 64, which is
 * what one household or office has. An address that cannot be read is a network of its own.
 */
export function networkOf(address: string | undefined): string {
  if (address === undefined || !ipaddr.isValid(address)) return 'unknown';
  const read = ipaddr.process(address);
  const [bytes, bits] = read.kind() === 'ipv4' ? [3, 24] : [8, 64];
  return `${read.toByteArray().slice(0, bytes).join('.')}/${bits}`;
}

/** An e-mail address in the form in which tries are counted: spaces around it and capitals make no other address. */
export const countedAddress = (email: string): string => email.trim().normalize('NFKC').toLowerCase().slice(0, 200);
