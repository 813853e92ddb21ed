import { describe, expect, it } from 'vitest';
import { estimated } from './estimate';
import { fit } from './answers';
import { ask, told } from './testing';

const FIT = {
	spool: { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 },
	stack: [
		{ role: 'backing', material: 'polyester-20' },
		{ role: 'line', lineClass: 'WF6F' }
	]
};

describe('POST /api/estimate', () => {
	it('without readings is the plan', async () => {
		const plan = (await told(fit, FIT)).solved!;
		const { todo, gap, stopBy, going } = await told(estimated, { fit: FIT, readings: [] });
		expect(todo.lengthM.value).toBeCloseTo(plan.lengthM, 6);
		expect(todo.stopDepthMm.value).toBeCloseTo(plan.stopDepthMm, 6);
		expect(gap.byDepthMm.value).toBeCloseTo(4, 6);
		expect(stopBy).toBe('depth');
		expect(going).toBeUndefined();
	});
	it('a pause, a loss of count and a gap, in metres, each with what it changed', async () => {
		const readings = [
			{ kind: 'measure', measure: 'rim', valueMm: 84.1 },
			{ kind: 'depth', component: 0, turns: 600, depthMm: 15.8, places: 2 },
			{ kind: 'amount', component: 0, turns: 900, lost: { id: 'phone', sigmaTurns: 20 } },
			{ kind: 'gap', gapMm: 4.6 }
		];
		const { going, todo, readings: said, gap } = await told(estimated, { fit: FIT, readings });
		expect(said).toHaveLength(4);
		expect(said[0]!.expected!.value).toBeCloseTo(84, 6);
		expect(said[1]!.moved.lengthM).not.toBe(0);
		expect(Math.abs(said[1]!.moved.lengthM)).toBeLessThan(30);
		expect(said[2]!.expected).toBeUndefined();
		expect(going).toMatchObject({ component: 1 });
		expect(todo.lengthM.range[0]).toBeLessThan(todo.lengthM.value);
		expect(gap.asItIsMm.value).toBeGreaterThan(4);
	});
	it('samples what it believes: close to its ranges, and the same for a seed', async () => {
		const readings = [{ kind: 'depth', component: 0, turns: 600, depthMm: 15.6 }];
		const sent = { fit: FIT, readings, samples: 4000, seed: 7 };
		const { gap, sampled } = await told(estimated, sent);
		const [low, high] = gap.byDepthMm.range;
		const { p05, p95 } = sampled!.byDepth.gapMm;
		expect((p95 - p05) / (high - low)).toBeCloseTo(1, 1);
		expect(sampled!.byTurns.rubProbability).toBeLessThan(0.05);
		// With 600 turns on and nothing more, there is room left and nothing rubs.
		expect(sampled!.asItIs.rubProbability).toBe(0);
		expect((await told(estimated, sent)).sampled).toEqual(sampled);
		expect((await told(estimated, { fit: FIT, readings })).sampled).toBeUndefined();
	});
	it('asks about a reading that cannot be, and does not answer from it', async () => {
		const readings = [{ kind: 'depth', component: 0, turns: 478, depthMm: 21.9 }];
		const { readings: said, todo } = await told(estimated, { fit: FIT, readings });
		expect(said[0]).toMatchObject({ surprise: true, moved: { turns: 0 } });
		expect(said[0]!.explanations.map(({ as }) => as)).toContain('lost-count');
		expect(todo.turns.value).toBeGreaterThan(300);
		expect(todo.turns.value).toBeLessThan(700);
	});
	it('points to what is wrong in what was sent', async () => {
		const lost = [{ kind: 'amount', component: 4, turns: 9 }];
		expect(await ask(estimated, { fit: FIT, readings: lost })).toMatchObject({
			ok: false,
			issues: [{ code: 'no_such_component', path: ['readings', 0, 'component'] }]
		});
		const line = { ...FIT, stack: [FIT.stack[1]] };
		expect(await ask(estimated, { fit: line, readings: [] })).toMatchObject({
			ok: false,
			issues: [{ code: 'nothing_to_correct', path: ['fit', 'stack'] }]
		});
	});
});
