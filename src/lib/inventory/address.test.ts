import { describe, expect, it } from 'vitest';
import { isLoopback, readOrigin } from './address';

describe('an address as people type it', () => {
	it.each([
		['http://kit-room.local:4173', 'http://kit-room.local:4173'],
		['kit-room:4173', 'http://kit-room:4173'],
		['  192.168.1.20:4173/orders ', 'http://192.168.1.20:4173'],
		['https://wendle.example', 'https://wendle.example'],
		['http://[fe80::1]:4173/', 'http://[fe80::1]:4173']
	])('reads %s', (text, origin) => expect(readOrigin(text)).toBe(origin));

	it.each(['', 'http://', 'two words', 'ftp://x', 'http://a:b@c', 'javascript:alert(1)', 'http://ex ample'])(
		'refuses "%s"',
		(text) => expect(readOrigin(text)).toBeUndefined()
	);
});

it('knows the names that every computer has for itself', () => {
	for (const host of ['localhost', '127.0.0.1', '127.1.2.3', '[::1]', '0.0.0.0'])
		expect(isLoopback(host), host).toBe(true);
	for (const host of ['kit-room', '192.168.1.20', '12.7.0.0', 'localhost.example'])
		expect(isLoopback(host), host).toBe(false);
});
