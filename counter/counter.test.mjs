import { once } from 'node:events';
import { afterEach, describe, expect, it } from 'vitest';
import { Counter, counterServer } from './counter.mjs';

/** @type {Counter} */
let counter;
/** @type {import('node:http').Server | undefined} */
let server;
afterEach(() => {
	counter.stop();
	server?.closeAllConnections();
	server?.close();
	server = undefined;
});

async function serve() {
	counter = new Counter();
	server = counterServer(counter).listen(0, '127.0.0.1');
	await once(server, 'listening');
	const { port } = /** @type {import('node:net').AddressInfo} */ (server.address());
	return `http://127.0.0.1:${port}`;
}
const post = (/** @type {string} */ url, /** @type {unknown} */ body) =>
	fetch(url, { method: 'POST', body: typeof body === 'string' ? body : JSON.stringify(body) });

describe('the simulated counter', () => {
	it('tells its total with every message, numbered, backward turns taken off', () => {
		counter = new Counter();
		/** @type {{ seq: number, total: number }[]} */
		const heard = [];
		counter.listen(
			({ seq, total }) => heard.push({ seq, total }),
			() => undefined
		);
		for (const turn of [1, 1, -1, 1]) counter.turn(turn);
		expect(heard).toEqual([
			{ seq: 1, total: 1 },
			{ seq: 2, total: 2 },
			{ seq: 3, total: 1 },
			{ seq: 4, total: 2 }
		]);
	});
	it('loses messages, never turns', () => {
		counter = new Counter();
		let heard = 0;
		counter.listen(
			() => heard++,
			() => undefined
		);
		counter.set({ loss: 1 });
		for (let i = 0; i < 50; i++) counter.turn(1);
		expect(heard).toBe(0);
		expect(counter.lost).toBe(50);
		counter.set({ loss: 0 });
		counter.turn(1);
		expect(heard).toBe(1);
		expect(counter.reading).toMatchObject({ seq: 51, total: 51 });
	});
	it('switched off and on is another session, from nothing', () => {
		counter = new Counter();
		counter.turn(1);
		const { session } = counter;
		counter.reset();
		expect(counter.reading).toMatchObject({ seq: 0, total: 0 });
		expect(counter.session).not.toBe(session);
	});
	it('tells the newest reading to whoever connects, and refuses while the link is down', async () => {
		const url = await serve();
		for (let i = 0; i < 3; i++) counter.turn(1);
		const reply = await fetch(`${url}/turns`);
		expect(reply.headers.get('access-control-allow-origin')).toBe('*');
		const reader = reply.body?.getReader();
		let text = '';
		while (!text.includes('data:')) text += new TextDecoder().decode((await reader?.read())?.value);
		expect(text).toContain('retry: 500');
		expect(text).toContain('"total":3');
		counter.set({ linked: false });
		await expect(
			reader?.read().then(({ done }) => done || Promise.reject(new Error('still open')))
		).rejects.toThrow();
		expect((await fetch(`${url}/turns`)).status).toBe(503);
	});
	it('takes settings that make sense, and says so of others', async () => {
		const url = await serve();
		expect((await post(`${url}/settings`, { pace: 90, jitter: 0.2 })).status).toBe(200);
		expect(counter.settings).toMatchObject({ pace: 90, jitter: 0.2 });
		for (const bad of [{ pace: 1e9 }, { pace: '60' }, { running: 1 }, { colour: 1 }, 'nonsense', []])
			expect((await post(`${url}/settings`, bad)).status, JSON.stringify(bad)).toBe(
				Array.isArray(bad) ? 200 : 400
			);
		expect((await post(`${url}/turn`, { turns: -3 })).status).toBe(200);
		expect(counter.total).toBe(-3);
		expect((await post(`${url}/turn`, { turns: 0.5 })).status).toBe(400);
		expect((await fetch(`${url}/nothing`)).status).toBe(404);
		const state = await (await fetch(`${url}/state`)).json();
		expect(state).toMatchObject({ total: -3, pace: 90, lost: 0 });
	});
});
