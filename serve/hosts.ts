import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

/** Names and addresses of this machine. */

const LOOPBACK = ['localhost', '127.0.0.1', '::1'];

const bare = (host: string): string =>
	host
		.toLowerCase()
		.replace(/^\[|\]$/g, '')
		.replace(/\.$/, '');

/** The name or address in a Host header or a setting, without its port. */
export const nameIn = (header: string): string => bare(isIP(header) ? header : header.replace(/:\d+$/, ''));

export const isLoopback = (host: string): boolean =>
	bare(host) === 'localhost' || bare(host) === '::1' || /^127(\.\d{1,3}){3}$/.test(bare(host));

/** Addresses at which other machines reach this one. */
export const addressesHere = (): string[] =>
	Object.values(networkInterfaces())
		.flatMap((addresses) => addresses ?? [])
		.filter(({ internal }) => !internal)
		.map(({ address }) => bare(address.replace(/%.*$/, '')));

/** Names of this machine on its network. */
export function namesHere(): string[] {
	const name = bare(hostname());
	return name.includes('.') ? [name] : [name, `${name}.local`];
}

/**
 * Whether a request that names this host is meant for this server. A page elsewhere may give a name of its own our address, and
 * read and write everything in the name of whoever looks at it: only names that are known to be ours count.
 *
 * @param more what a setting adds
 */
export function isOurs(header: string | undefined, more: readonly string[]): boolean {
	if (header === undefined) return false;
	const name = nameIn(header);
	return (
		isLoopback(name) ||
		[...LOOPBACK, ...namesHere(), ...more].includes(name) ||
		// Addresses change while the server runs, so they are looked up each time.
		addressesHere().includes(name)
	);
}
