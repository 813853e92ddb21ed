import { describe, expect, it } from 'vitest';
import {
	areaToRadius,
	radiusAtArea,
	radiusAtVolume,
	spoolFromProfile,
	straightSpool,
	volumeToRadius,
	widthAtRadius,
	type Spool
} from '.';

const built = (result: ReturnType<typeof spoolFromProfile>): Spool => {
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
};
const straight = built(straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 }));
/** A V-shaped arbor opening to flared flanges. */
const dished = built(
	spoolFromProfile([
		{ radiusMm: 15, widthMm: 0 },
		{ radiusMm: 19, widthMm: 18 },
		{ radiusMm: 36, widthMm: 20 },
		{ radiusMm: 42, widthMm: 24 }
	])
);

/** Midpoint sum, knowing nothing of closed forms. */
function summed(spool: Spool, to: number, of: (r: number) => number, steps = 200_000): number {
	const h = (to - spool.arborRadiusMm) / steps;
	let sum = 0;
	for (let i = 0; i < steps; i++) sum += of(spool.arborRadiusMm + (i + 0.5) * h) * h;
	return sum;
}

describe('volume of a straight spool, against the Pappus–Guldin theorem', () => {
	it('is the area of the filled rectangle times the way of its centroid', () => {
		const [r0, r1, w] = [19, 38, 21];
		const area = (r1 - r0) * w;
		expect(areaToRadius(straight, r1)).toBeCloseTo(area, 9);
		expect(volumeToRadius(straight, r1)).toBeCloseTo(area * 2 * Math.PI * ((r0 + r1) / 2), 6);
	});
});

describe('volume of a cone of flanges, against the Pappus–Guldin theorem', () => {
	it('is the triangle times the way of its centroid', () => {
		const vee = built(
			spoolFromProfile([
				{ radiusMm: 10, widthMm: 0 },
				{ radiusMm: 40, widthMm: 30 }
			])
		);
		const area = (30 * 30) / 2;
		const centroid = 10 + (2 / 3) * 30;
		expect(areaToRadius(vee, 40)).toBeCloseTo(area, 9);
		expect(volumeToRadius(vee, 40)).toBeCloseTo(area * 2 * Math.PI * centroid, 6);
	});
});

describe('a dished spool, against a midpoint sum', () => {
	it.each([16, 19, 25, 36, 40, 42])('up to %d mm', (r) => {
		expect(areaToRadius(dished, r)).toBeCloseTo(
			summed(dished, r, (x) => widthAtRadius(dished, x)),
			4
		);
		const volume = summed(dished, r, (x) => 2 * Math.PI * x * widthAtRadius(dished, x));
		expect(volumeToRadius(dished, r) / volume).toBeCloseTo(1, 8);
	});
});

describe('radiusAtVolume', () => {
	it.each([straight, dished])('undoes volumeToRadius, beyond the rim too', (spool) => {
		for (let r = spool.arborRadiusMm; r <= 50; r += 0.37)
			expect(radiusAtVolume(spool, volumeToRadius(spool, r))).toBeCloseTo(r, 7);
	});
	it('refuses what is not a fill', () => {
		expect(() => radiusAtVolume(straight, -1)).toThrow(RangeError);
		expect(() => radiusAtVolume(straight, NaN)).toThrow(RangeError);
		expect(() => volumeToRadius(straight, 3)).toThrow(RangeError);
	});
});

describe('spools that cannot be', () => {
	const point = (radiusMm: number, widthMm = 20) => ({ radiusMm, widthMm });
	it.each([
		['one point', spoolFromProfile([point(10)]), 'profile_too_short'],
		['falling', spoolFromProfile([point(20), point(10)]), 'profile_not_rising'],
		['level', spoolFromProfile([point(20), point(20)]), 'profile_not_rising'],
		['closed at the rim', spoolFromProfile([point(10), point(20, 0)]), 'profile_closed'],
		['NaN', spoolFromProfile([point(10), point(NaN)]), 'profile_not_rising'],
		['no width', straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 0 }), 'profile_closed'],
		[
			'arbor outside',
			straightSpool({ rimDiameterMm: 38, arborDiameterMm: 84, widthMm: 21 }),
			'arbor_not_inside_rim'
		],
		[
			'frame inside the arbor',
			straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21, frameDiameterMm: 30 }),
			'frame_inside_arbor'
		]
	])('%s', (_, result, code) => {
		expect(result).toMatchObject({ ok: false, issues: [{ code }] });
	});
});

describe('radiusAtArea', () => {
	it.each([straight, dished])('is the inverse of areaToRadius, beyond the rim too', (spool) => {
		for (let r = spool.arborRadiusMm; r <= 50; r += 0.37)
			expect(radiusAtArea(spool, areaToRadius(spool, r))).toBeCloseTo(r, 9);
	});
});
