import { LABEL_SIZES } from '$lib/bench/label';
import { describe, expect, it } from 'vitest';
import { labelLayout } from './label-layout';

const LABEL = {
	name: 'A spool with a name that goes on for rather long, kept in the cellar',
	lines: ['one', 'two', 'three', 'four', 'five', 'six', 'seven'],
	foot: 'gap 4.0 mm; 2026-05-01'
};
const ADDRESS = 'http://127.0.0.1:4300/fit/0c0f6c8e-6b8e-4b7e-9d0e-2f8f2d6f1c11';

describe.each(LABEL_SIZES)('a label of $widthMm × $heightMm mm', (size) => {
	const layout = labelLayout(LABEL, size, ADDRESS, '7K2QX');
	it('keeps everything on the paper, the words clear of the code and of each other', () => {
		for (const { x, y, size: height } of layout.texts) {
			expect(x).toBeGreaterThan(0);
			expect(y - height).toBeGreaterThanOrEqual(0);
			expect(y).toBeLessThan(size.heightMm);
		}
		// The last is the short code, under the one that is scanned.
		const texts = layout.texts.slice(0, -1);
		const code = layout.texts.at(-1)!;
		expect(code.text).toBe('7K2QX');
		const under =
			layout.qr.y + layout.qr.side * Math.round((size.widthMm - 2 - layout.qr.x) / layout.qr.side);
		expect(code.x).toBeGreaterThanOrEqual(layout.qr.x);
		expect(code.y - code.size).toBeGreaterThanOrEqual(under - 0.01);
		const lines = texts.map(({ y }) => y);
		expect([...lines].sort((a, b) => a - b)).toEqual(lines);
		texts.slice(1).forEach(({ y, size: height }, i) => {
			expect(y - texts[i]!.y).toBeGreaterThanOrEqual(0.95 * height);
		});
		expect(texts.at(-1)!.text).toBe(LABEL.foot);
		const { x, squares, side } = layout.qr;
		for (const [sx, sy] of squares) {
			expect(sx).toBeGreaterThanOrEqual(x);
			expect(sx + side).toBeLessThanOrEqual(size.widthMm);
			expect(sy + side).toBeLessThanOrEqual(size.heightMm);
		}
		expect(layout.thread.x + layout.thread.width).toBeLessThanOrEqual(x);
	});
	it('has a code with its three corners, in squares that a phone can tell apart', () => {
		// A finder pattern is seven modules of dark in a row (ISO/IEC 18004).
		const { squares, side, x, y } = layout.qr;
		const dark = new Set(
			squares.map(([sx, sy]) => `${Math.round((sx - x) / side)},${Math.round((sy - y) / side)}`)
		);
		const size = Math.max(...squares.map(([sx]) => Math.round((sx - x) / side)));
		for (const [left, top] of [
			[1, 1],
			[size - 6, 1],
			[1, size - 6]
		] as const)
			// prettier-ignore
			for (let i = 0; i < 7; i++) {
				expect(dark.has(`${left + i},${top}`)).toBe(true);
				expect(dark.has(`${left},${top + i}`)).toBe(true);
			}
		expect(side).toBeGreaterThan(0.3);
	});
});
