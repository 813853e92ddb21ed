import { afterEach, describe, expect, it, vi } from 'vitest';
import { id } from './answers';
import { send, troubleOf } from './api';

afterEach(() => {
	vi.unstubAllGlobals();
});
const answering = (body: string, status: number): void => {
	vi.stubGlobal('fetch', () => Promise.resolve(new Response(body || null, { status })));
};

describe('a request', () => {
	it('reads an answer by its shape, and one without a body', async () => {
		answering('{"id":"x","more":1}', 201);
		expect(await send('POST', '/api/things', {}, { answer: id })).toEqual({
			kind: 'ok',
			value: { id: 'x' }
		});
		answering('', 204);
		expect(await send('DELETE', '/api/things')).toEqual({ kind: 'ok', value: undefined });
	});
	it('takes an answer of another shape for none, and says what to do', async () => {
		answering('{"name":"x"}', 200);
		const reply = await send('GET', '/api/things', undefined, { answer: id });
		expect(reply.kind).toBe('unreachable');
		expect(troubleOf(reply, 'It stays here')).toMatch(/Reload the page/);
	});
	it('keeps the reasons of a refusal', async () => {
		answering('{"issues":[{"code":"missing_value","path":["length"],"message":"Give a length."}]}', 422);
		const reply = await send('POST', '/api/things', {});
		expect(reply).toMatchObject({ kind: 'refused', status: 422, issues: [{ path: ['length'] }] });
		expect(troubleOf(reply, 'It stays here')).toBe('Give a length.');
	});
	it('never throws: no network, and no JSON, are no answer', async () => {
		vi.stubGlobal('fetch', () => Promise.reject(new TypeError('cut')));
		expect(await send('GET', '/api/things')).toEqual({ kind: 'unreachable' });
		answering('<html>a proxy speaks</html>', 502);
		expect(await send('GET', '/api/things')).toEqual({ kind: 'unreachable' });
	});
	it('asks to outlive its page unless its body is large', async () => {
		const asked: (boolean | undefined)[] = [];
		vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
			asked.push(init.keepalive);
			return Promise.resolve(new Response(null, { status: 204 }));
		});
		await send('POST', '/api/things', { note: 'short' });
		await send('POST', '/api/things', { note: 'x'.repeat(60_000) });
		expect(asked).toEqual([true, false]);
	});
});

describe('what is said of a reply', () => {
	it('is nothing of a yes, something of a refusal without reasons, and what becomes of it when nobody answers', () => {
		expect(troubleOf({ kind: 'ok', value: 1 }, 'It stays here')).toBeUndefined();
		expect(troubleOf({ kind: 'refused', status: 409, issues: [], body: undefined }, 'x')).toMatch(
			/try again/
		);
		expect(troubleOf({ kind: 'unreachable' }, 'What you typed stays here')).toBe(
			"The server doesn't answer. What you typed stays here: try again in a moment."
		);
	});
});
