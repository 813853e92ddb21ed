import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/** https for the local network: an authority of this Wendle alone, made once, and a certificate that it signs for this machine. */

export interface Certificate {
	readonly key: string;
	/** The certificate, and the authority that signed it. */
	readonly cert: string;
}

const DAY_MS = 86_400_000;
/** Years that the authority lasts: phones are told to trust it once. */
const AUTHORITY_DAYS = 3650;
/** Longest that phones accept of a certificate that somebody was told to trust: 825 days, from memory of what phone makers publish. */
const LEAF_DAYS = 397;
/** Made anew this long before it ends. */
const ANEW_DAYS = 30;

const folderIn = (data: string): string => join(data, 'https');
/** The authority's certificate: what a phone is told to trust. It is no secret. */
export const authorityFile = (data: string): string => join(folderIn(data), 'authority.crt');

/** Written so that nobody else on this machine reads it. */
function keep(file: string, text: string): void {
	writeFileSync(file, text, { mode: 0o600 });
	chmodSync(file, 0o600);
}

/** Files of these are put one after the other: each ends its last line. */
const pem = (text: string): string => `${text.trim()}\n`;

const lastsFor = (days: number): { notBeforeDate: Date; notAfterDate: Date } => ({
	// Clocks of phones are not always right.
	notBeforeDate: new Date(Date.now() - DAY_MS),
	notAfterDate: new Date(Date.now() + days * DAY_MS)
});

async function authority(data: string): Promise<{ key: string; cert: string }> {
	const [keyFile, certFile] = [join(folderIn(data), 'authority.key'), authorityFile(data)];
	if (existsSync(keyFile) && existsSync(certFile))
		return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
	const made = await generate([{ name: 'commonName', value: 'Wendle on this network' }], {
		...lastsFor(AUTHORITY_DAYS),
		keyType: 'ec',
		curve: 'P-256',
		algorithm: 'sha256',
		extensions: [
			{ name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
			{ name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true }
		]
	});
	keep(keyFile, made.private);
	writeFileSync(certFile, pem(made.cert));
	return { key: made.private, cert: pem(made.cert) };
}

/** Whether a certificate still serves: signed by this authority, for all of these, and not about to end. */
function serves(cert: string, by: string, names: readonly string[], addresses: readonly string[]): boolean {
	const leaf = new X509Certificate(cert);
	return (
		leaf.verify(new X509Certificate(by).publicKey) &&
		Date.parse(leaf.validTo) - Date.now() > ANEW_DAYS * DAY_MS &&
		names.every((name) => leaf.checkHost(name) !== undefined) &&
		addresses.every((address) => leaf.checkIP(address) !== undefined)
	);
}

/** The certificate for these names and addresses; made anew when they have changed, or when it is about to end. */
export async function certificateFor(data: string, reachedBy: readonly string[]): Promise<Certificate> {
	const addresses = [...new Set(reachedBy.filter((host) => isIP(host) !== 0))];
	const names = [...new Set(reachedBy.filter((host) => isIP(host) === 0))];
	mkdirSync(folderIn(data), { recursive: true, mode: 0o700 });
	const ca = await authority(data);
	const [keyFile, certFile] = [join(folderIn(data), 'server.key'), join(folderIn(data), 'server.crt')];
	if (existsSync(keyFile) && existsSync(certFile)) {
		const cert = readFileSync(certFile, 'utf8');
		if (serves(cert, ca.cert, names, addresses))
			return { key: readFileSync(keyFile, 'utf8'), cert: cert + ca.cert };
	}
	const made = await generate([{ name: 'commonName', value: reachedBy[0]! }], {
		...lastsFor(LEAF_DAYS),
		keyType: 'ec',
		curve: 'P-256',
		algorithm: 'sha256',
		ca,
		extensions: [
			{ name: 'basicConstraints', cA: false, critical: true },
			{ name: 'keyUsage', digitalSignature: true, critical: true },
			{ name: 'extKeyUsage', serverAuth: true },
			{
				name: 'subjectAltName',
				altNames: [
					...names.map((value) => ({ type: 2 as const, value })),
					...addresses.map((ip) => ({ type: 7 as const, ip }))
				]
			}
		]
	});
	keep(keyFile, made.private);
	writeFileSync(certFile, pem(made.cert));
	return { key: made.private, cert: pem(made.cert) + ca.cert };
}
