import { request as httpRequest } from 'node:http';
import { expect, test } from './server';

const REEL = {
	spool: { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 },
	stack: [
		{ role: 'backing', material: 'polyester-20' },
		{ role: 'line', lineClass: 'WF6F' }
	]
};
/** About half a minute of one core. */
const LONG = { fit: REEL, trials: 5000 };

const ask = (url: string, body: unknown, more: RequestInit = {}): Promise<Response> =>
	fetch(url, {
		method: 'POST',
		body: JSON.stringify(body),
		...more,
		headers: { 'content-type': 'application/json', ...more.headers }
	});

/** Asks from another address of this machine, as another device would. */
const askFrom = (localAddress: string, url: string, body: unknown): Promise<number> =>
	new Promise((resolve, reject) => {
		const asked = httpRequest(
			url,
			{ method: 'POST', localAddress, headers: { 'content-type': 'application/json' } },
			(response) => {
				response.resume();
				response.once('end', () => resolve(response.statusCode!));
			}
		);
		asked.once('error', reject);
		asked.end(JSON.stringify(body));
	});

test('a page comes while heavy work is under way, and whoever wants to hears how far it is', async ({
	demo
}) => {
	const [went, heard] = [new AbortController(), [] as string[]];
	const working = await ask(`${demo.url}/api/methods`, LONG, {
		headers: { accept: 'text/event-stream' },
		signal: went.signal
	});
	const events = working.body!.pipeThrough(new TextDecoderStream()).getReader();
	while (!heard.join('').includes('event: progress')) heard.push((await events.read()).value!);
	expect((await fetch(demo.url)).status).toBe(200);
	// It is far from done: the page did not wait for it.
	expect(heard.join('')).not.toContain('event: answer');
	went.abort();

	const small = await ask(
		`${demo.url}/api/methods`,
		{ fit: REEL, trials: 60 },
		{ headers: { accept: 'text/event-stream' } }
	);
	const told = await small.text();
	const plain = await ask(`${demo.url}/api/methods`, { fit: REEL, trials: 60 });
	expect(/event: answer\ndata: (.*)\n/.exec(told)?.[1]).toBe(await plain.text());
});

test('nobody takes more than a share: too much is refused, and what nobody waits for is called off', async ({
	server
}) => {
	const sections = Array.from({ length: 60 }, () => ({
		lengthM: 0.4,
		startDiameterMm: 0.9,
		endDiameterMm: 1.1
	}));
	const tooMuch = await ask(`${server.url}/api/methods`, {
		fit: { ...REEL, stack: [REEL.stack[0], { role: 'line', sections }, { role: 'line', sections }] },
		trials: 5000
	});
	expect(tooMuch.status).toBe(422);
	expect(await tooMuch.text()).toContain('"too_much"');

	const left = new AbortController();
	const long = [0, 1].map(() => ask(`${server.url}/api/methods`, LONG, { signal: left.signal }));
	await expect
		.poll(
			async () =>
				(
					await ask(`${server.url}/api/methods`, LONG, { signal: AbortSignal.timeout(500) }).catch(
						() => undefined
					)
				)?.status
		)
		.toBe(429);
	const refused = await ask(`${server.url}/api/methods`, LONG);
	expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
	expect(await refused.text()).toContain('"too_many"');

	const gone = Promise.allSettled(long);
	left.abort();
	await gone;
	// Another device need not wait for what was called off.
	const status = await askFrom('127.0.0.9', `${server.url}/api/risk`, { fit: REEL, trials: 100_000 });
	expect(status).toBe(200);
});

test('a very large answer comes whole', async ({ server }) => {
	const answer = await ask(`${server.url}/api/match`, {
		spools: Array.from({ length: 100 }, () => REEL.spool),
		lines: Array.from({ length: 200 }, () => ({ lineClass: 'WF6F' })),
		backing: { material: 'polyester-20' }
	});
	expect(((await answer.json()) as { rows: unknown[] }).rows).toHaveLength(20_000);
});
