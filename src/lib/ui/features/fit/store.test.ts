import { newSetup } from '$lib/setup/presets';
import type { SetupForm } from '$lib/setup/form';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { SetupStore } from './store.svelte';

interface Sent {
	readonly method: string;
	readonly path: string;
	readonly id: string;
	readonly body: { form: SetupForm; version?: number; spoolVersion?: number };
}
type Answer = (sent: Sent) => Response | 'lost';

/** A server that answers each write in turn; what it lost was done all the same. */
function serving(...answers: Answer[]): Sent[] {
	const sent: Sent[] = [];
	vi.stubGlobal(
		'fetch',
		(path: string, init: { method: string; headers: Record<string, string>; body: string }) => {
			const one = {
				method: init.method,
				path,
				id: init.headers['idempotency-key']!,
				body: JSON.parse(init.body) as Sent['body']
			};
			sent.push(one);
			const answer = answers[sent.length - 1]!(one);
			return answer === 'lost' ? Promise.reject(new TypeError('cut')) : Promise.resolve(answer);
		}
	);
	return sent;
}
const json = (value: unknown, status = 200): Response => new Response(JSON.stringify(value), { status });
const saved =
	(version: number): Answer =>
	() =>
		json({ version });
afterEach(() => vi.unstubAllGlobals());

function opened(known = true) {
	const window = { form: newSetup(), created: [] as string[] };
	const store = new SetupStore({
		known: known ? { id: 'u', spoolId: 's', version: 1 } : undefined,
		of: undefined,
		units: () => 'yd-mm',
		form: () => structuredClone(window.form),
		live: () => window.form,
		oncreate: (id) => window.created.push(id),
		onsaved: () => undefined,
		onmerged: () => undefined
	});
	const save = async (edit: (form: SetupForm) => void): Promise<void> => {
		edit(window.form);
		store.autosave.touch();
		await store.autosave.flush();
	};
	return { window, store, save };
}

describe('a set-up that is saved as it is typed', () => {
	it('is created once although the reply was lost, and what was typed since is saved after it', async () => {
		const { window, store, save } = opened(false);
		const sent = serving(
			() => 'lost',
			() => json({ id: 'made', spoolId: 'new', version: 1 }, 201),
			saved(2)
		);
		await save(({ spool }) => (spool.name = 'Tarn'));
		expect(store.autosave.state).toBe('failed');
		await save(({ spool }) => (spool.rim = '84'));
		expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
			'POST /api/setups',
			'POST /api/setups',
			'PUT /api/setups/made'
		]);
		expect(sent[1]).toEqual(sent[0]);
		expect(sent[2]!.body.form.spool).toMatchObject({ name: 'Tarn', rim: '84' });
		expect(sent[2]!.id).not.toBe(sent[0]!.id);
		expect([store.known, window.created, store.autosave.state]).toEqual([
			{ id: 'made', spoolId: 'new', version: 2 },
			['made'],
			'saved'
		]);
	});

	it('takes what another window saved in other fields, and saves both', async () => {
		const { window, store, save } = opened();
		const theirs = newSetup();
		theirs.spool.arbor = '42 mm';
		const sent = serving(() => json({ issues: [], current: { form: theirs, version: 5 } }, 409), saved(6));
		await save(({ fill }) => (fill.gap = '6'));
		expect(sent[1]!.body).toMatchObject({
			version: 5,
			form: { spool: { arbor: '42 mm' }, fill: { gap: '6' } }
		});
		expect(window.form.spool.arbor).toBe('42 mm');
		expect([store.known!.version, store.clashes, store.autosave.state]).toEqual([6, [], 'saved']);
	});

	it.each([
		[false, '6 mm'],
		[true, '3 mm']
	])('asks where both changed one field; theirs taken: %s', async (takes, gap) => {
		const { window, store, save } = opened();
		const theirs = newSetup();
		Object.assign(theirs.fill, { gap: '3 mm', leader: '7 ft' });
		const sent = serving(() => json({ issues: [], current: { form: theirs, version: 5 } }, 409), saved(6));
		await save(({ fill }) => (fill.gap = '6 mm'));
		expect(store.autosave.state).toBe('held');
		expect(store.clashes).toEqual([{ path: ['fill', 'gap'], mine: '6 mm', theirs: '3 mm' }]);
		await store.settle([takes]);
		await store.autosave.flush();
		expect(sent[1]!.body).toMatchObject({ version: 5, form: { fill: { gap, leader: '7 ft' } } });
		expect([window.form.fill.gap, store.autosave.state]).toEqual([gap, 'saved']);
	});

	it('says why it was refused, beside the field, and does not ask again until it is changed', async () => {
		const { store, save } = opened();
		const issue = {
			code: 'too_big',
			path: ['form', 'spool', 'rim'],
			message: 'Takes at most 64 characters.'
		};
		const sent = serving(() => json({ issues: [issue] }, 422), saved(2));
		await save(({ spool }) => (spool.rim = '9'.repeat(70)));
		expect([store.autosave.state, store.trouble, store.issues]).toEqual([
			'refused',
			`Across the rims: ${issue.message}`,
			[issue]
		]);
		expect(store.autosave.pending).toBe(true);
		await store.autosave.flush();
		expect(sent).toHaveLength(1);
		await save(({ spool }) => (spool.rim = '84 mm'));
		expect([store.autosave.state, store.issues]).toEqual(['saved', []]);
	});

	it('tells what is wrong with the data file, and keeps trying with what was sent', async () => {
		const { store, save } = opened();
		const sent = serving(() => json({ message: 'The disk is full.' }, 503), saved(2));
		await save(({ fill }) => (fill.gap = '6 mm'));
		expect([store.autosave.state, store.trouble]).toEqual(['failed', 'The disk is full.']);
		await store.autosave.flush();
		expect([sent[1], store.autosave.state, store.trouble]).toEqual([sent[0], 'saved', undefined]);
	});
});
