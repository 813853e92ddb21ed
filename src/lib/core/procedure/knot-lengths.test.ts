import { expect, it } from 'vitest';
import { toMm } from '../units/units';
import { knotLengthMm } from './knot-lengths';
import { jobFor } from './testing';

const inches = (given: Parameters<typeof jobFor>[0], id: string): number =>
	knotLengthMm(jobFor(given), id) / toMm(1, 'in');

it.each([
	[{}, 'backing', 18 + 24],
	[{ schools: { arborKnot: 'spool-loop' } }, 'backing', 24 + 24],
	[{ joint: 'nail' }, 'backing', 18 + 10],
	[{ joint: 'nail' }, 'line', 1],
	[{ joint: 'albright' }, 'line', 4],
	// The line gives the fold, mono the knots, the backing its own loop.
	[{ joint: 'own-loop' }, 'backing', 18 + 24],
	[{ joint: 'own-loop' }, 'line', 4]
] as const)('%j: the knots take of the %s so many inches: %d (common practice)', (given, id, length) => {
	expect(inches(given, id)).toBeCloseTo(length, 9);
});
it('knows nothing of a part that is not there', () => {
	expect(() => knotLengthMm(jobFor(), 'sinker')).toThrow(RangeError);
});
