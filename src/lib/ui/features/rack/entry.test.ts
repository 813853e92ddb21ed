import { newSetup } from '$lib/setup/presets';
import type { SetupForm } from '$lib/setup/form';
import { describe, expect, it } from 'vitest';
import { rackEntry } from './entry';
import { worded } from './shown';

const planned = (form: SetupForm, done: string[]) =>
	rackEntry(
		{
			id: 's',
			form: form.spool,
			still: 0,
			planned: { id: 'p', form, done, bench: { kind: 'wind' } },
			setupId: 'p'
		},
		'm-mm'
	);
function trout(): SetupForm {
	const form = newSetup();
	Object.assign(form.spool, { way: 'measured', rim: '84 mm', arbor: '38 mm', width: '21 mm' });
	return form;
}

describe('a spool on the rack', () => {
	it('without an answer yet says so and leads back to Fit', () => {
		expect(worded(planned(newSetup(), []), 'yd-mm')).toMatchObject({
			name: 'Unnamed spool',
			href: '/fit/p',
			facts: ['not worked out yet']
		});
	});
	it('planned is drawn faint, with the job that waits', () => {
		const entry = worded(planned(trout(), ['hand', 'cage']), 'm-mm');
		expect(entry).toMatchObject({ drawing: { faint: true }, job: { href: '/bench/p', done: 2, total: 14 } });
		expect(entry.facts).toEqual([
			'WF5F, 27 m',
			expect.stringMatching(/^about \d+ m, 20 lb polyester$/),
			'gap 4.0 mm planned'
		]);
	});
	it('is plain data until it is worded, so that it says the same in other units', () => {
		const entry = planned(trout(), []);
		expect(structuredClone(entry)).toEqual(entry);
		expect(worded(entry, 'yd-in').facts).toEqual([
			'WF5F, 30 yd',
			expect.stringMatching(/^about \d+ yd, 20 lb polyester$/),
			expect.stringMatching(/^gap 0\.1\d in planned$/)
		]);
	});
});
