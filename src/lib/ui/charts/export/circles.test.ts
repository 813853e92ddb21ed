import { describe, expect, it } from 'vitest';
import { dotPaths } from '../section/dots';
import { circlesOf } from './circles';

describe('circles for dots', () => {
	it('one for each wrap, where it is drawn', () => {
		const rows = [
			{ radiusMm: 20, diameterMm: 0.5, acrossMm: [-1, 0, 1] },
			{ radiusMm: 20.5, diameterMm: 0.5, acrossMm: [-0.5, 0.5] }
		];
		const circles = dotPaths(rows, { scale: 10, middlePx: 100, y: (r) => 400 - r * 10 }).flatMap(({ d }) =>
			circlesOf(d)!
		);
		expect(circles).toHaveLength(5);
		expect(circles).toEqual(
			expect.arrayContaining([
				{ cx: 90, cy: 200 },
				{ cx: 100, cy: 200 },
				{ cx: 110, cy: 200 },
				{ cx: 95, cy: 195 },
				{ cx: 105, cy: 195 }
			])
		);
	});
	it('none for any other path', () => {
		for (const d of ['M0 0h10', 'M1 1h0M2 2h5', 'M1 1L2 2', '']) expect(circlesOf(d)).toBeUndefined();
	});
});
