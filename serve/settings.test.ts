import type { IncomingMessage } from 'node:http';
import { describe, expect, it } from 'vitest';
import { refusedBy } from './guard';
import { addressesHere, isLoopback, isOurs, namesHere } from './hosts';
import { refusalOf, settingsFrom } from './settings';

describe('how the server is started', () => {
	it('is reached from this computer alone, unless somebody says otherwise', () => {
		expect(settingsFrom({})).toMatchObject({ host: '127.0.0.1', loopback: true, https: false, hsts: false });
		expect(refusalOf(settingsFrom({}), false)).toBeUndefined();
	});
	it('lets others in with a passcode and over https alone', () => {
		expect(refusalOf(settingsFrom({ HOST: '0.0.0.0' }), false)).toContain('npm run passcode');
		expect(refusalOf(settingsFrom({ HOST: '0.0.0.0' }), true)).toContain('--https');
		expect(refusalOf(settingsFrom({ HOST: '192.168.1.5', WENDLE_HTTPS: '1' }), false)).toContain('passcode');
		expect(refusalOf(settingsFrom({ HOST: '0.0.0.0', WENDLE_HTTPS: '1' }), true)).toBeUndefined();
		expect(refusalOf(settingsFrom({ HOST: '0.0.0.0', WENDLE_INSECURE: '1' }), true)).toBeUndefined();
		expect(refusalOf(settingsFrom({ HOST: '::', ORIGIN: 'https://kit.example' }), true)).toBeUndefined();
		expect(refusalOf(settingsFrom({ HOST: '::', ORIGIN: 'http://kit.example' }), true)).toContain('--https');
	});
	it('says so of a port that is none', () => {
		expect(refusalOf(settingsFrom({ PORT: 'tackle' }), true)).toContain('PORT');
	});
	it('binds browsers to https only where somebody says that there is a certificate that all trust', () => {
		expect(settingsFrom({ ORIGIN: 'https://kit.example', WENDLE_HSTS: '1' }).hsts).toBe(true);
		expect(settingsFrom({ WENDLE_HTTPS: '1', WENDLE_HSTS: '1' }).hsts).toBe(false);
	});
});

describe('the name a server is asked by', () => {
	it.each([
		'localhost:4173',
		'127.0.0.1:4173',
		'127.0.0.9',
		'[::1]:4173',
		'LOCALHOST',
		...namesHere(),
		...addressesHere().map((a) => (a.includes(':') ? `[${a}]:80` : `${a}:80`))
	])('%s is ours', (host) => expect(isOurs(host, [])).toBe(true));
	it.each([
		undefined,
		'',
		'wendle.example',
		'127.0.0.1.example',
		'localhost.example:4173',
		'1270.0.0.1',
		'10.255.255.254'
	])('%s is not', (host) => expect(isOurs(host, [])).toBe(false));
	it('is ours when a setting says so', () => {
		const { hosts } = settingsFrom({
			WENDLE_HOSTS: 'kit.example, bench.example:8443',
			ORIGIN: 'https://front.example'
		});
		for (const name of ['kit.example:80', 'bench.example', 'front.example'])
			expect(isOurs(name, hosts)).toBe(true);
		// They stand in a certificate as well, which knows no ports.
		expect(hosts).toEqual(['kit.example', 'bench.example', 'front.example']);
		expect(settingsFrom({ HOST: 'fd00::12' }).hosts).toEqual(['fd00::12']);
	});
	it('loopback is loopback', () => {
		expect(['localhost', '127.0.0.1', '127.8.9.10', '::1', '[::1]'].every(isLoopback)).toBe(true);
		expect(['0.0.0.0', '::', '192.168.0.2', '128.0.0.1'].some(isLoopback)).toBe(false);
	});
});

describe('where a write comes from', () => {
	const settings = settingsFrom({});
	const asked = (method: string, headers: Record<string, string>) =>
		refusedBy(
			{ method, headers: { host: '127.0.0.1:4173', ...headers } } as unknown as IncomingMessage,
			'http://127.0.0.1:4173',
			settings
		)?.status;
	it.each(['POST', 'PUT', 'DELETE', 'PATCH'])(
		'%s from another page is not heard, with a body or without',
		(method) => {
			expect(asked(method, { origin: 'http://elsewhere.example' })).toBe(403);
			expect(asked(method, { origin: 'null' })).toBe(403);
			expect(asked(method, { origin: 'https://127.0.0.1:4173' })).toBe(403);
			expect(asked(method, { origin: 'http://127.0.0.1:9999' })).toBe(403);
			expect(asked(method, { 'sec-fetch-site': 'cross-site' })).toBe(403);
			expect(asked(method, { 'sec-fetch-site': 'same-site' })).toBe(403);
		}
	);
	it('ours is, and so is a program that is no browser', () => {
		expect(
			asked('POST', { origin: 'http://127.0.0.1:4173', 'sec-fetch-site': 'same-origin' })
		).toBeUndefined();
		expect(asked('DELETE', {})).toBeUndefined();
	});
	it('reading is, from anywhere that knows our name', () => {
		expect(asked('GET', { origin: 'http://elsewhere.example' })).toBeUndefined();
		expect(asked('GET', { host: 'wendle.example' })).toBe(421);
	});
});
