import { describe, expect, it } from 'vitest';
import { slipIn } from './slips';
import { measured, worked } from './testing';

const slip = (rim: string, arbor: string, width: string, units: 'yd-mm' | 'yd-in' = 'yd-mm') =>
	slipIn(measured(rim, arbor, width).spool, units);

describe('a likely slip in the measures of a spool', () => {
	it.each([
		[
			'inches typed as millimetres',
			['3.3', '1.5 mm', '0.83'],
			'inches',
			{ rim: '3.3 in', arbor: '1.5 in', width: '0.83 in' }
		],
		['rim and arbor in each other’s place', ['38', '84', '21'], 'swapped', { rim: '84', arbor: '38' }],
		['a radius for the rim', ['42', '38', '21'], 'radius', { rim: '84.0 mm' }],
		['radii for both', ['42 mm', '19 mm', '21'], 'radius', { rim: '84.0 mm', arbor: '38.0 mm' }]
	] as const)('%s', (_, [rim, arbor, width], kind, mended) => {
		expect(slip(rim, arbor, width)).toEqual({ kind, mended });
		const form = measured(rim, arbor, width);
		// What was probably meant works out.
		expect(worked({ ...form, spool: { ...form.spool, ...mended } }).fit.fits).toBe(true);
	});
	it('millimetres typed as inches', () => {
		expect(slip('84', '38', '21', 'yd-in')).toEqual({
			kind: 'millimetres',
			mended: { rim: '84 mm', arbor: '38 mm', width: '21 mm' }
		});
	});
	it('none in the measures of a reel, in what is not there or not a number, or in what nobody can guess', () => {
		for (const measures of [
			['84', '38'],
			['3.3 in', '1.5 in'],
			['', '38'],
			['wide', '38'],
			['250', '38']
		] as const)
			expect(slip(measures[0], measures[1], '21')).toBeUndefined();
		const box = measured('3.3', '1.5', '0.8').spool;
		expect(slipIn({ ...box, way: 'rated' }, 'yd-mm')).toBeUndefined();
	});
});
