import { LABEL_SIZES } from '$lib/bench/label';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placesOnSheets, sheetGrid, SHEETS, type SheetName } from './on-sheets';

const SHEET_NAMES = Object.keys(SHEETS) as SheetName[];

describe('labels on a sheet', () => {
	it.each(SHEET_NAMES.flatMap((sheet) => LABEL_SIZES.map((size) => ({ sheet, size, slug: size.slug }))))(
		'keeps the $slug ones on the $sheet, clear of its edges and of each other',
		({ sheet, size }) => {
			const grid = sheetGrid(sheet, size);
			expect(grid.places).toBeGreaterThan(5);
			const all = Array.from({ length: grid.places }, (_, i) => grid.at(i));
			for (const [i, { xMm, yMm }] of all.entries()) {
				expect(xMm).toBeGreaterThanOrEqual(6);
				expect(yMm).toBeGreaterThanOrEqual(6);
				expect(xMm + size.widthMm).toBeLessThanOrEqual(SHEETS[sheet].widthMm - 6 + 1e-9);
				expect(yMm + size.heightMm).toBeLessThanOrEqual(SHEETS[sheet].heightMm - 6 + 1e-9);
				for (const other of all.slice(i + 1)) {
					const apart =
						Math.abs(other.xMm - xMm) >= size.widthMm + 2.4 ||
						Math.abs(other.yMm - yMm) >= size.heightMm + 2.4;
					expect(apart).toBe(true);
				}
			}
		}
	);

	it('holds 27 labels of 62 × 29 mm on A4, three in a row', () => {
		expect(sheetGrid('a4', { widthMm: 62, heightMm: 29 })).toMatchObject({ columns: 3, rows: 9, places: 27 });
	});

	it('goes on from the place that is asked for, and on to further sheets, each place once', () => {
		expect(placesOnSheets(3, { places: 4 }, 2)).toEqual([
			{ sheet: 0, place: 2 },
			{ sheet: 0, place: 3 },
			{ sheet: 1, place: 0 }
		]);
		fc.assert(
			fc.property(fc.nat(60), fc.integer({ min: 1, max: 30 }), fc.nat(29), (count, places, start) => {
				const all = placesOnSheets(count, { places }, start % places);
				expect(new Set(all.map(({ sheet, place }) => `${sheet}/${place}`)).size).toBe(count);
				expect(all.every(({ place }) => place < places)).toBe(true);
			}),
			{ seed: 18 }
		);
	});

	it('has no place for what is larger than the sheet', () => {
		expect(sheetGrid('a4', { widthMm: 300, heightMm: 20 }).places).toBe(0);
		expect(placesOnSheets(2, { places: 0 }, 0)).toEqual([]);
	});
});
