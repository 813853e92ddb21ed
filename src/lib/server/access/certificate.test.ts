import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { authorityFile, certificateFor } from './certificate';

let data: string;
beforeEach(() => (data = mkdtempSync(join(tmpdir(), 'wendle-https-'))));
afterEach(() => rmSync(data, { recursive: true, force: true }));

it('whoever trusts the authority trusts the server, and nobody else does', async () => {
	const server = createServer(
		await certificateFor(data, ['localhost', 'kit-room.local', '127.0.0.1', '::1'])
	);
	server.on('request', (_, response) => response.end('in'));
	await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
	const { port } = server.address() as AddressInfo;
	const ask = (ca: string | undefined, host: string): Promise<string> =>
		new Promise((settle) => {
			get(
				{ port, host: '127.0.0.1', servername: host, agent: false, ...(ca !== undefined && { ca }) },
				(reply) => {
					reply.resume();
					reply.once('end', () => settle('in'));
				}
			).once('error', (error: NodeJS.ErrnoException) => settle(error.code!));
		});
	const ca = readFileSync(authorityFile(data), 'utf8');
	expect(await ask(ca, 'kit-room.local')).toBe('in');
	expect(await ask(ca, 'elsewhere.example')).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
	expect(await ask(undefined, 'kit-room.local')).toMatch(/SELF_SIGNED|UNABLE_TO/);
	server.close();
});

it('is the same until a name or an address changes; the authority stays', async () => {
	const first = await certificateFor(data, ['localhost', '127.0.0.1']);
	const ca = readFileSync(authorityFile(data), 'utf8');
	expect(await certificateFor(data, ['localhost', '127.0.0.1'])).toEqual(first);
	const moved = await certificateFor(data, ['localhost', '127.0.0.1', '192.168.7.4', 'fd00::12']);
	expect(moved.cert).not.toBe(first.cert);
	expect(new X509Certificate(moved.cert).checkIP('192.168.7.4')).toBe('192.168.7.4');
	expect(new X509Certificate(moved.cert).checkIP('fd00::12')).toBeTruthy();
	expect(readFileSync(authorityFile(data), 'utf8')).toBe(ca);
});

it('keeps its keys from everybody else on the machine', async () => {
	await certificateFor(data, ['localhost']);
	for (const name of ['authority.key', 'server.key'])
		expect(statSync(join(data, 'https', name)).mode & 0o077).toBe(0);
});
