import { expect, test } from './server';

const EXAMPLE = {
	spool: { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 },
	stack: [
		{ role: 'backing', diameterMm: 0.48, layEfficiency: 0.9 },
		{
			role: 'line',
			layEfficiency: 0.88,
			sections: [
				{ lengthM: 15.6, startDiameterMm: 0.9, endDiameterMm: 0.9 },
				{ lengthM: 1.9, startDiameterMm: 0.9, endDiameterMm: 1.25 },
				{ lengthM: 8.0, startDiameterMm: 1.25, endDiameterMm: 1.25 },
				{ lengthM: 1.8, startDiameterMm: 1.25, endDiameterMm: 0.9 },
				{ lengthM: 0.15, startDiameterMm: 0.9, endDiameterMm: 0.9 }
			]
		}
	],
	gapMm: 4
};
const JSON_TYPE = { 'content-type': 'application/json' };

test('POST /api/fit answers the documented example', async ({ server }) => {
	const response = await fetch(`${server.url}/api/fit`, {
		method: 'POST',
		headers: JSON_TYPE,
		body: JSON.stringify(EXAMPLE)
	});
	expect(response.status).toBe(200);
	const answer = (await response.json()) as {
		fits: boolean;
		solved: { lengthM: number; stopDepthMm: number };
	};
	expect(answer.fits).toBe(true);
	expect(answer.solved.lengthM).toBeCloseTo(147.83, 2);
	expect(answer.solved.stopDepthMm).toBeCloseTo(11.43, 2);
});

test('whoever asks only for the head of an answer gets it at once, of a stream as well', async ({ demo }) => {
	for (const [path, type] of [
		['/api/orders/live', 'text/event-stream'],
		['/api/spools', 'application/json'],
		['/', 'text/html']
	] as const) {
		const reply = await fetch(demo.url + path, { method: 'HEAD' });
		expect([path, reply.status, await reply.text()]).toEqual([path, 200, '']);
		expect(reply.headers.get('content-type'), path).toContain(type);
	}
});

test('an address with signs in it is logged as it is', async ({ server }) => {
	await fetch(`${server.url}/api/photos/%ff`);
	await fetch(`${server.url}/api/photos/%25s%25f`);
	await expect.poll(() => server.complaints()).toContain('"path":"/api/photos/%ff"');
	expect(server.complaints()).not.toContain('NaN');
});

const text = JSON.stringify(EXAMPLE);
const refused: [name: string, body: string, status: number][] = [
	['no JSON', '{ "spool": ', 400],
	['nothing', '', 400],
	['NaN', text.replace('21', 'NaN'), 400],
	['1e308', text.replace('21', '1e308'), 422],
	['1e999', text.replace('21', '1e999'), 422],
	['a width of 0', text.replace('21', '0'), 422],
	['an arbor wider than the rim', text.replace('38', '90'), 422],
	['a packing above hexagonal', text.replace('0.9}', '1.2}'), 422],
	['a string for a number', text.replace('21', '"21"'), 422],
	['a deep nest', `${'['.repeat(50_000)}${']'.repeat(50_000)}`, 422],
	['a polluted prototype', text.replace('{', '{"__proto__":{"x":1},'), 422],
	['10 MB', `"${'x'.repeat(10 * 1024 * 1024)}"`, 413],
	['10 MB of numbers', `[${'1,'.repeat(5 * 1024 * 1024)}1]`, 413]
];
for (const [name, body, status] of refused)
	test(`POST /api/fit refuses ${name} with ${status}`, async ({ server }) => {
		const response = await fetch(`${server.url}/api/fit`, { method: 'POST', headers: JSON_TYPE, body });
		expect(response.status).toBe(status);
		const { issues } = (await response.json()) as {
			issues: { code: string; path: unknown[]; message: string }[];
		};
		expect(issues.length).toBeGreaterThan(0);
		for (const issue of issues) {
			expect(issue.code).toMatch(/^[a-z_]+$/);
			expect(Array.isArray(issue.path)).toBe(true);
			expect(issue.message.length).toBeGreaterThan(10);
		}
	});

test('a body that is not called JSON, and one of unknown length', async ({ server }) => {
	const plain = await fetch(`${server.url}/api/fit`, {
		method: 'POST',
		body: text,
		headers: { 'content-type': 'text/csv' }
	});
	expect(plain.status).toBe(400);
	// Ten megabytes in pieces, with no length said beforehand.
	let pieces = 160;
	const pieced = new ReadableStream({
		pull: (controller) =>
			pieces-- > 0 ? controller.enqueue(new TextEncoder().encode('x'.repeat(65_536))) : controller.close()
	});
	const streamed = await fetch(`${server.url}/api/fit`, {
		method: 'POST',
		headers: JSON_TYPE,
		body: pieced,
		duplex: 'half',
		signal: AbortSignal.timeout(10_000)
	} as RequestInit);
	expect(streamed.status).toBe(413);
	expect((await fetch(server.url)).status).toBe(200);
});

test('the largest stack taken is answered at once', async ({ server }) => {
	const sections = Array.from({ length: 60 }, (_, i) => ({
		lengthM: 0.3,
		startDiameterMm: 0.8 + (i % 7) / 10,
		endDiameterMm: 0.8 + ((i + 1) % 7) / 10
	}));
	const profile = Array.from({ length: 50 }, (_, i) => ({ diameterMm: 38 + 2 * i, widthMm: 20 + (i % 5) }));
	const stack = Array.from({ length: 12 }, (_, i) =>
		i === 0 ? { role: 'backing', diameterMm: 0.48 } : { role: 'line', sections }
	);
	const response = await fetch(`${server.url}/api/fit`, {
		method: 'POST',
		headers: JSON_TYPE,
		body: JSON.stringify({ spool: { profile }, stack }),
		signal: AbortSignal.timeout(10_000)
	});
	expect(response.status).toBe(200);
});

test('GET /api/openapi.json describes it from the same schemas', async ({ server }) => {
	const document = (await (await fetch(`${server.url}/api/openapi.json`)).json()) as {
		openapi: string;
		paths: Record<string, Record<string, { responses: Record<string, unknown> }>>;
		components: { schemas: Record<string, { properties: Record<string, unknown>; required: string[] }> };
	};
	expect(document.openapi).toMatch(/^3\.1/);
	expect(Object.keys(document.paths['/api/fit']!['post']!.responses).sort()).toEqual([
		'200',
		'400',
		'413',
		'422',
		'429'
	]);
	expect(Object.keys(document.components.schemas['FitRequest']!.properties)).toEqual([
		'spool',
		'stack',
		'gapMm',
		'spreads'
	]);
	expect(document.components.schemas['FitRequest']!.required).toEqual(['spool', 'stack']);
});

test('a polite stop ends the server by itself', async ({ server }) => {
	expect((await fetch(server.url)).status).toBe(200);
	await server.stop('SIGTERM');
	await expect(fetch(server.url)).rejects.toThrow();
});

const JUNK: [string, string][] = [
	['nothing', '{}'],
	['a list', '[]'],
	['null', 'null'],
	['a number', '1e308'],
	['no JSON', '{'],
	['other fields', '{"spool":{"rimDiameterMm":1e308},"fit":{"spool":[],"stack":{}},"trials":-1,"at":[]}'],
	[
		'a fit with no spool',
		'{"fit":{"spool":{},"stack":[{"role":"backing"}]},"seen":{"gapMm":1},"at":{"component":0,"turns":1,"depthMm":1},"trials":1000,"seed":1,"outM":[1],"leastM":1}'
	]
];
test('every POST of the document refuses junk with a reason, and never falls over', async ({ server }) => {
	const document = (await (await fetch(`${server.url}/api/openapi.json`)).json()) as {
		paths: Record<string, Record<string, unknown>>;
	};
	const paths = Object.entries(document.paths).flatMap(([path, methods]) =>
		['post', 'put'].filter((method) => method in methods).map((method) => [path, method] as const)
	);
	expect(paths.length).toBeGreaterThan(15);
	for (const [path, method] of paths)
		for (const [name, body] of JUNK) {
			const response = await fetch(server.url + path.replace('{id}', 'none'), {
				method: method.toUpperCase(),
				headers: JSON_TYPE,
				body
			});
			expect([400, 404, 422], `${method} ${path}, ${name}: ${response.status}`).toContain(response.status);
			expect(((await response.json()) as { issues: unknown[] }).issues.length).toBeGreaterThan(0);
		}
});

test('what a fit can be asked over the wire: checkpoint, correction, half-fit, risk, match', async ({
	server
}) => {
	const ask = async <T>(path: string, body: object): Promise<T> => {
		const response = await fetch(server.url + path, {
			method: 'POST',
			headers: JSON_TYPE,
			body: JSON.stringify(body)
		});
		expect(response.status, path).toBe(200);
		return (await response.json()) as T;
	};
	const checkpoint = await ask<{ lengthSoFarM: number; stopDepthMm: number }>('/api/checkpoint', {
		fit: EXAMPLE,
		at: { component: 0, turns: 700, depthMm: 14 }
	});
	expect(checkpoint.lengthSoFarM / ((Math.PI * 700 * 94) / 2000)).toBeCloseTo(1, 2);
	expect(Math.abs(checkpoint.stopDepthMm - 11.43)).toBeLessThan(0.2);
	const correct = await ask<{ backingChangeM: number }>('/api/correct', { fit: EXAMPLE, seen: { gapMm: 2 } });
	expect(correct.backingChangeM).toBeLessThan(-20);
	const half = await ask<{ stopDepthMm: number }>('/api/half-fit', {
		spool: EXAMPLE.spool,
		gapMm: 4,
		lineDepthMm: 12.6
	});
	expect(half.stopDepthMm).toBeGreaterThan(9);
	const body = { fit: EXAMPLE, trials: 4000, seed: 7 };
	const risk = await ask<{ gapMm: { mean: number } }>('/api/risk', body);
	expect(risk.gapMm.mean).toBeGreaterThan(3.5);
	expect(await ask('/api/risk', body)).toEqual(risk);
	const match = await ask<{ rows: { backingM: number }[] }>('/api/match', {
		spools: [EXAMPLE.spool],
		lines: [{ sections: EXAMPLE.stack[1]!.sections, layEfficiency: 0.88 }],
		backing: { diameterMm: 0.48, layEfficiency: 0.9 },
		gapMm: 4
	});
	expect(match.rows[0]!.backingM).toBeCloseTo(147.83, 2);
});

test('a run keeps every event once: sent twice, through a kill, followed live', async ({ server }) => {
	await server.stop();
	await server.fillDemo();
	await server.start();
	const page = await (await fetch(server.url)).text();
	const setupId = /\/bench\/([0-9a-f-]{36})/.exec(page)![1]!;
	const run = `${server.url}/api/runs/run-1`;
	const send = (path: string, method: string, body: object) =>
		fetch(path, { method, headers: JSON_TYPE, body: JSON.stringify(body) });
	expect((await send(run, 'PUT', { setupId })).status).toBe(204);
	const event = (id: string, turns: number) => ({ id, at: 1, kind: 'turns', part: 'backing', turns });
	expect((await send(`${run}/events`, 'POST', { events: [event('a', 10), event('b', 5)] })).status).toBe(200);

	const live = await fetch(`${run}/live`);
	const reader = live.body!.getReader();
	const decoder = new TextDecoder();
	let heard = '';
	const hear = async (word: string): Promise<void> => {
		while (!heard.includes(word)) {
			const { value, done } = await reader.read();
			if (done) throw new Error(`the stream ended before ${word}`);
			heard += decoder.decode(value, { stream: true });
		}
	};
	await hear('"id":"b"');
	await send(`${run}/events`, 'POST', { events: [event('b', 5), event('c', 7)] });
	await hear('"id":"c"');
	expect(heard.match(/"id":"b"/g)).toHaveLength(1);

	await server.restart();
	await reader.cancel().catch(() => undefined);
	const again = await send(`${run}/events`, 'POST', { events: [event('c', 7), event('d', 1)] });
	expect(again.status).toBe(200);
	const { events } = (await (await fetch(`${run}/events`)).json()) as { events: { id: string }[] };
	expect(events.map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd']);
	expect((await fetch(`${server.url}/api/runs/none/events`)).status).toBe(404);
});
