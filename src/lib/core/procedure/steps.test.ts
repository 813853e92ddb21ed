import { describe, expect, it } from 'vitest';
import { jobSteps, JOINTS, STEP_KEYS, type JobSetup, type Joint, type Step } from './steps';

/** Content is common practice throughout. */
const base: JobSetup = {
	hand: 'left',
	cage: 'open',
	arborTurns: 2,
	joint: 'loops',
	backing: { label: 'Braided polyester, 20 lb', cuts: false },
	lineLabel: 'Weight-forward 5, floating',
	sinking: false,
	head: false,
	leaderMm: 2743,
	plan: { lengthMm: 148_000, stopDepthMm: 11.4, turns: 949, gapMm: 4, lineTurns: 129 }
};
const text = (steps: readonly Step[]): string => JSON.stringify(steps);
const step = (setup: JobSetup, key: Step['key']): Step => jobSteps(setup).find((s) => s.key === key)!;

describe('the steps of a job', () => {
	it('come in the order of work', () => {
		expect(jobSteps(base).map(({ key }) => key)).toEqual(STEP_KEYS);
	});

	for (const hand of ['left', 'right'] as const)
		for (const cage of ['open', 'closed'] as const)
			for (const joint of Object.keys(JOINTS) as Joint[])
				it(`${hand} hand, ${cage} cage, ${JOINTS[joint]}`, () => {
					const steps = jobSteps({ ...base, hand, cage, joint });
					expect(steps[0]!.title).toContain(`${hand}-hand`);
					expect(text(steps)).not.toContain(
						hand === 'left' ? 'right-hand wind"' : 'Set the reel for left-hand'
					);
					expect(steps[1]!.title.includes('closed')).toBe(cage === 'closed');
					expect(text([steps[1]!]).includes('before it goes round the arbor')).toBe(cage === 'closed');
					expect(steps.find(({ key }) => key === 'joint')!.title).toContain(JOINTS[joint]);
					expect(text(steps).includes('spool through the backing loop')).toBe(joint === 'loops');
				});

	it('the backing is wound to the stop depth, with turns and length beside it', () => {
		const { figure } = step(base, 'backing');
		expect(figure).toMatchObject({ value: { smallMm: 11.4 } });
		expect(figure!.beside).toContainEqual({ turns: 949 });
		expect(figure!.beside).toContainEqual({ longMm: 148_000 });
	});
	it('sinking lines get more turns in a nail knot', () => {
		expect(text([step({ ...base, joint: 'nail' }, 'joint')])).toContain('5–7');
		expect(text([step({ ...base, joint: 'nail', sinking: true }, 'joint')])).toContain('7–10');
	});
	it('gel-spun: a bed on the arbor and a caution for the fingers', () => {
		const thin = { ...base, backing: { label: 'Gel-spun braid, 30 lb', cuts: true } };
		expect(text([step(thin, 'arbor')])).toContain('mono');
		expect(step(thin, 'backing').cautions).toContain('thin-braid');
		expect(step(base, 'backing').cautions).not.toContain('thin-braid');
	});
	it('a bed is what is tied to the arbor, and slippery braid then needs no tape', () => {
		const bedded = {
			...base,
			backing: { label: 'Gel-spun braid, 30 lb', cuts: true },
			bed: { label: 'Mono bed, 20 lb', lengthMm: 2438 }
		};
		expect(step(bedded, 'arbor').title).toContain('bed');
		expect(text([step(bedded, 'arbor')])).toContain('2438');
		expect(text([step(bedded, 'arbor')])).not.toContain('tape');
	});
	it('a head has an end that goes first', () => {
		expect(text([step({ ...base, head: true }, 'line')])).toContain('coloured marker');
		expect(text([step(base, 'line')])).not.toContain('coloured marker');
	});
	it('with no room for backing the line goes on the arbor', () => {
		const keys = jobSteps({ ...base, plan: { ...base.plan, lengthMm: 0 } }).map(({ key }) => key);
		expect(keys).not.toContain('backing');
		expect(keys).not.toContain('joint');
	});
	it('every job defers to the leaflet and takes the scraps home', () => {
		expect(step(base, 'hand').cautions).toContain('leaflet');
		expect(step(base, 'last-look').cautions).toContain('scraps');
	});
});
