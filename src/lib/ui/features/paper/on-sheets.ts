/** The papers that several labels are printed on, mm. */
export const SHEETS = {
	a4: { label: 'A4 sheet', widthMm: 210, heightMm: 297 },
	letter: { label: 'US Letter sheet', widthMm: 215.9, heightMm: 279.4 }
} as const;
export type SheetName = keyof typeof SHEETS;

/** What a printer leaves white at the edges at most, and the room between labels for the scissors, mm. Common practice. */
const EDGE_MM = 6;
const BETWEEN_MM = 2.5;

/** How labels of one size stand on a sheet: in rows, the whole in the middle. */
export interface SheetGrid {
	readonly columns: number;
	readonly rows: number;
	/** How many go on a sheet. */
	readonly places: number;
	/** The top left corner of a place, counted from 0 along the rows, mm. */
	readonly at: (place: number) => { readonly xMm: number; readonly yMm: number };
}

/** @returns a grid with no place where a label is larger than the sheet */
export function sheetGrid(
	sheet: SheetName,
	label: { readonly widthMm: number; readonly heightMm: number }
): SheetGrid {
	const { widthMm, heightMm } = SHEETS[sheet];
	const fitting = (room: number, size: number): number =>
		Math.max(0, Math.floor((room - 2 * EDGE_MM + BETWEEN_MM) / (size + BETWEEN_MM)));
	const [columns, rows] = [fitting(widthMm, label.widthMm), fitting(heightMm, label.heightMm)];
	const first = (room: number, size: number, count: number): number =>
		(room - count * size - (count - 1) * BETWEEN_MM) / 2;
	const [left, top] = [first(widthMm, label.widthMm, columns), first(heightMm, label.heightMm, rows)];
	return {
		columns,
		rows,
		places: columns * rows,
		at: (place) => ({
			xMm: left + (place % columns) * (label.widthMm + BETWEEN_MM),
			yMm: top + Math.floor(place / columns) * (label.heightMm + BETWEEN_MM)
		})
	};
}

/** Where each of so many labels stands: its sheet, counted from 0, and its place on it. The first goes on the place `start`. */
export const placesOnSheets = (
	count: number,
	{ places }: Pick<SheetGrid, 'places'>,
	start: number
): readonly { readonly sheet: number; readonly place: number }[] =>
	places === 0
		? []
		: Array.from({ length: count }, (_, i) => ({
				sheet: Math.floor((start + i) / places),
				place: (start + i) % places
			}));
