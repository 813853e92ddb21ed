import { expect, test } from './server';

const JSON_TYPE = { 'content-type': 'application/json' };
interface Entry {
	kept: { id: string; kind: string; label: string };
	where: string;
	spoolId: string | null;
	dues: { job: string; overdue: boolean; because: string }[];
}

/** A client of the API on a server's data. */
function clientOf(url: string) {
	const send = (method: string, path: string, body?: unknown) =>
		fetch(url + path, {
			method,
			headers: JSON_TYPE,
			...(body !== undefined && { body: JSON.stringify(body) })
		});
	const entries = async (): Promise<Entry[]> =>
		((await (await fetch(`${url}/api/care`)).json()) as { entries: Entry[] }).entries;
	const find = async (label: string): Promise<Entry> =>
		(await entries()).find(({ kept, where }) => `${kept.label}, ${where}`.includes(label))!;
	return { send, entries, find };
}

test('a swap over the wire: planned, wound, undone, and everything found each time', async ({ demo }) => {
	const { send, entries, find } = clientOf(demo.url);
	const line = await find('Weight-forward 4, floating');
	const coil = await find('on a coil: Floating, for the spring');
	const asked = { spoolId: line.spoolId, keep: 1, on: [{ kept: coil.kept.id }] };
	const planned = await send('POST', '/api/swaps', asked);
	expect(planned.status).toBe(201);
	const { setupId } = (await planned.json()) as { setupId: string };
	// Asked again before it is wound it is the same plan.
	expect(((await (await send('POST', '/api/swaps', asked)).json()) as { setupId: string }).setupId).toBe(
		setupId
	);
	const record = { woundOn: '2026-11-20', turns: '', depth: '', gap: '1 mm', note: '', who: '' };
	const wound = await send('POST', `/api/setups/${setupId}/records`, record);
	expect(wound.status).toBe(201);
	const { id } = (await wound.json()) as { id: string };
	const after = await entries();
	expect(after.find(({ kept }) => kept.id === coil.kept.id)!.where).toBe('Beck reel, grayling');
	expect(after.find(({ kept }) => kept.id === line.kept.id)!.where).toBe(
		'on a coil: off Beck reel, grayling'
	);
	const backing = after.find(
		({ kept, where }) => kept.kind === 'backing' && where === 'Beck reel, grayling'
	)!;
	expect(backing.dues.find(({ job }) => job === 'tug-test')).toMatchObject({ because: 'line-change' });
	expect((await send('DELETE', `/api/records/${id}`)).status).toBe(204);
	expect((await find('Weight-forward 4, floating')).where).toBe('Beck reel, grayling');
	expect((await find('Double taper 4, floating')).where).toMatch(/^on a coil/);
	expect((await send('POST', `/api/records/${id}/restore`)).status).toBe(204);
	expect((await find('Double taper 4, floating')).where).toBe('Beck reel, grayling');
	expect((await send('DELETE', '/api/records/none')).status).toBe(404);
	// What was wound is no plan any more.
	expect((await send('DELETE', `/api/setups/${setupId}`)).status).toBe(404);
});

test('swaps that cannot be are refused, and nothing is planned', async ({ demo }) => {
	const { send, find } = clientOf(demo.url);
	const { spoolId, kept } = await find('Weight-forward 4, floating');
	const made = { way: 'class', class: { taper: 'WF', number: 12, density: 'F' } };
	const big = { role: 'line', made, length: '50 yd', note: '' };
	const ask = async (body: unknown) => {
		const reply = await send('POST', '/api/swaps', body);
		const { issues } = (await reply.json()) as { issues: { message: string }[] };
		expect(issues[0]!.message.length).toBeGreaterThan(10);
		return reply.status;
	};
	expect(await ask({ spoolId, keep: 1, on: [big] })).toBe(422);
	expect(await ask({ spoolId, keep: 1, on: [] })).toBe(422);
	expect(
		await ask({ spoolId, keep: 7, on: [{ ...big, made: { ...made, class: { ...made.class, number: 3 } } }] })
	).toBe(422);
	expect(await ask({ spoolId: 'none', keep: 1, on: [big] })).toBe(404);
	expect(await ask({ spoolId, keep: 1, on: [{ kept: 'none' }] })).toBe(404);
	// It lies on this very spool.
	expect(await ask({ spoolId, keep: 1, on: [{ kept: kept.id }] })).toBe(404);
});

test('a line on a coil is brought in over the API, once, and refused where it makes no sense', async ({
	demo
}) => {
	const { send, entries, find } = clientOf(demo.url);
	const thing = {
		id: crypto.randomUUID(),
		component: {
			role: 'head',
			made: { way: 'weighed', class: { taper: 'L', number: 8, density: 'I' }, mass: '390 gr' },
			length: '10.5 m',
			note: 'tide head'
		},
		came: '2026-02-01',
		label: 'tin with the blue lid',
		used: { days: 12, water: 'salt' },
		at: 1
	};
	const bring = async (changed: Record<string, unknown> = {}): Promise<number> =>
		(await send('POST', '/api/care/things', { ...thing, ...changed })).status;
	const before = (await entries()).length;
	expect([await bring(), await bring()]).toEqual([201, 201]);
	expect(await entries()).toHaveLength(before + 1);
	const brought = await find('tide head');
	expect(brought).toMatchObject({
		kept: { id: thing.id, kind: 'head' },
		where: 'on a coil: tin with the blue lid'
	});
	expect(brought.dues.find(({ job }) => job === 'clean')).toMatchObject({ overdue: true });
	const id = crypto.randomUUID();
	const backing = { ...thing.component, role: 'backing' };
	const endless = { ...thing.component, length: 'a good deal' };
	expect([
		await bring({ id, component: backing }),
		await bring({ id, component: endless }),
		await bring({ id, label: ' ' }),
		await bring({ id, came: 'in spring' }),
		await bring({ id: 'mine' })
	]).toEqual([422, 422, 422, 422, 422]);
	expect(await entries()).toHaveLength(before + 1);
	const line = await find('Weight-forward 8, intermediate');
	const asked = { spoolId: line.spoolId, keep: 1, on: [{ kept: thing.id }] };
	expect((await send('POST', '/api/swaps', asked)).status).toBe(201);
});

test('a job that winds nothing new, over the wire: begun, ended once, and in the history', async ({
	demo
}) => {
	const { send, find } = clientOf(demo.url);
	const { kept } = await find('Weight-forward 8, intermediate');
	const [setupId] = kept.id.split(':');
	const start = (job: string) => send('PUT', '/api/runs/run-by-wire', { setupId, job });
	expect((await start('untwist.line')).status).toBe(422);
	expect((await start('untwist.line.40000')).status).toBe(204);
	const events = [{ id: 'a', at: 1, kind: 'loop-test', bightMm: 2000, spins: 0.5 }];
	expect((await send('POST', '/api/runs/run-by-wire/events', { events })).status).toBe(200);
	const end = async (day: string) => send('POST', '/api/runs/run-by-wire/end', { day });
	expect((await end('someday')).status).toBe(422);
	const ended = (await (await end('2026-11-20')).json()) as { written: { keptId: string }[] };
	expect(ended.written.map(({ keptId }) => keptId)).toEqual([kept.id, kept.id]);
	expect(await (await end('2026-11-21')).json()).toEqual({ written: [] });
	const told = (await (
		await fetch(`${demo.url}/api/care/history?of=${encodeURIComponent(kept.id)}`)
	).json()) as {
		events: { event: { kind: string; day: string }; counts: boolean; setupId?: string }[];
	};
	expect(
		told.events
			.slice(0, 2)
			.map(({ event }) => event.kind)
			.sort()
	).toEqual(['let-out', 'loop-test']);
	expect(told.events.at(-1)).toMatchObject({ event: { kind: 'came' }, setupId });
	expect((await fetch(`${demo.url}/api/care/history?of=nobody`)).status).toBe(404);
	expect((await send('POST', '/api/runs/none/end', { day: '2026-11-20' })).status).toBe(404);
});

test('what two servers over one file write, each of them reads', async ({ demo }) => {
	const { send, find } = clientOf(demo.url);
	const { kept } = await find('Weight-forward 8, intermediate');
	const event = { id: 'event-by-wire', day: '2026-11-20', at: 1, kind: 'cleaned' };
	expect((await send('POST', '/api/care', { events: [{ keptId: kept.id, event }] })).status).toBe(204);
	const cleaned = async () =>
		(await find('Weight-forward 8, intermediate')).dues.find(({ job }) => job === 'clean')!.overdue;
	expect(await cleaned()).toBe(false);
	// A new process has read nothing before.
	await demo.restart();
	expect(await cleaned()).toBe(false);
	const back = { id: 'event-by-wire-2', day: '2026-11-20', at: 2, kind: 'undone', of: event.id };
	await send('POST', '/api/care', { events: [{ keptId: kept.id, event: back }] });
	expect(await cleaned()).toBe(true);
});
