import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as answers from './answers';
import { estimated } from './estimate';
import { ask } from './testing';

/** `npm run check:long` tries many more. */
const RUNS = process.env['WENDLE_LONG'] ? 5000 : 60;

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
const places = maybe(fc.integer({ min: 1, max: 20 }));
const component = fc.integer({ min: 0, max: 3 });
const depthMm = real(0, 200);

/** Anything that the shapes take: reels and far from reels. */
const spool = fc.oneof(
	fc.record({ rimDiameterMm: real(5, 400), arborDiameterMm: real(5, 400), widthMm: real(5, 400) }),
	fc.record({ rimDiameterMm: real(70, 110), arborDiameterMm: real(30, 50), widthMm: real(15, 30) }),
	fc.record({
		ratings: fc.array(
			fc.record({
				lineClass: fc.constantFrom('WF5F', 'DT8S'),
				backing: fc.constant('polyester-20'),
				lengthM: real(1, 2000)
			}),
			{ minLength: 1, maxLength: 3 }
		),
		rimDiameterMm: maybe(real(5, 400)),
		widthMm: maybe(real(5, 400))
	})
);
const stack = fc.oneof(
	fc.constant([
		{ role: 'backing', material: 'polyester-20' },
		{ role: 'line', lineClass: 'WF6F' }
	]),
	fc
		.tuple(real(0.05, 5), real(0.1, 2000), real(0.05, 5), maybe(real(0.4, 1.155)))
		.map(([thickMm, lengthM, diameterMm, layEfficiency]) => [
			{ role: 'bed', diameterMm: thickMm, lengthM: 3 },
			{ role: 'backing', diameterMm, layEfficiency },
			{ role: 'running-line', diameterMm: 0.9, lengthM },
			{ role: 'head', lineClass: 'WF8F' }
		]),
	real(1, 2000).map((lengthM) => [
		{ role: 'backing', material: 'gel-spun-30', lengthM },
		{ role: 'line', lineClass: 'DT4S' }
	])
);
const clean = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const fit = fc.record({ spool, stack, gapMm: maybe(real(0, 100)) });
const amount = {
	turns: maybe(real(0, 100_000)),
	lengthM: maybe(real(0.1, 2000)),
	lost: maybe(fc.record({ id: fc.constantFrom('a', 'b'), sigmaTurns: maybe(real(0.1, 5000)) }))
};
const takenAs = maybe(fc.constantFrom('confirmed', 'lost-count', 'other-room', 'other-spool'));
const reading = fc.oneof(
	fc.record({
		kind: fc.constant('measure'),
		measure: fc.constantFrom('rim', 'arbor', 'width', 'frame'),
		valueMm: real(5, 400),
		takenAs
	}),
	fc.record({ kind: fc.constant('diameter'), component, diameterMm: real(0.05, 5), takenAs }),
	fc.record({ kind: fc.constant('amount'), component, ...amount }),
	fc.record({ kind: fc.constant('depth'), component, depthMm, places, takenAs, ...amount }),
	fc.record({ kind: fc.constant('gap'), gapMm: real(-20, 200), places, takenAs }),
	fc.record({ kind: fc.constant('line-alone'), depthMm, places, takenAs }),
	fc.record({ kind: fc.constant('over-line'), turns: real(0, 100_000), depthMm, takenAs })
);

/** Every number of an answer is one. */
function expectFinite(value: unknown): void {
	if (typeof value === 'number') expect(Number.isFinite(value), JSON.stringify(value)).toBe(true);
	else if (value === null) throw new Error('null in an answer');
	else if (typeof value === 'object') Object.values(value as object).forEach(expectFinite);
}

describe('whatever is asked of readings', () => {
	it('is answered in finite numbers or refused with a reason, by every route that takes them', async () => {
		await fc.assert(
			fc.asyncProperty(
				fit,
				fc.array(reading, { maxLength: 6 }),
				fc.record({ component, turns: real(0, 100_000), depthMm: real(-20, 200), places }),
				real(-20, 200),
				async (anyFit, readings, at, gapMm) => {
					const sent = clean(anyFit);
					const backing = { material: 'polyester-20' };
					const lineDepthMm = Math.max(at.depthMm, -20);
					for (const answered of [
						await ask(estimated, clean({ fit: sent, readings })),
						await ask(answers.paused, clean({ fit: sent, at })),
						await ask(answers.corrected, clean({ fit: sent, seen: { gapMm, places: at.places } })),
						await ask(
							answers.halfFitted,
							clean({ spool: sent.spool, lineDepthMm, gapMm: sent.gapMm, backing })
						),
						await ask(
							answers.reverseFilled,
							clean({ spool: sent.spool, lineDepthMm, gapMm: sent.gapMm, backing, turns: at.turns })
						)
					])
						if (answered.ok) expectFinite(answered.value);
						else expect(answered.issues.length).toBeGreaterThan(0);
				}
			),
			{ numRuns: RUNS }
		);
	}, 1_200_000);
});
