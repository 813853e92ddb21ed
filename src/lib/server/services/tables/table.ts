import { fromMm } from '$lib/core';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

export type Cell = string | number | boolean | null;
/** A table's columns, in order, and its rows. */
export interface Table {
	readonly columns: readonly string[];
	readonly rows: readonly (readonly Cell[])[];
}

/** Decimals of a length in a table: a thousandth of the unit, more than anybody measures. */
const DECIMALS = 3;
const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

export class Lengths {
	readonly long: 'yd' | 'm';
	readonly small: 'mm' | 'in';
	constructor(units: UnitSystem) {
		[this.long, this.small] = [longUnit(units), smallUnit(units)];
	}
	inLong = (mm: number | null): number | null => (mm === null ? null : rounded(fromMm(mm, this.long)));
	inSmall = (mm: number | null | undefined): number | null =>
		mm === null || mm === undefined ? null : rounded(fromMm(mm, this.small));
}

export const nameOf = (name: string): string => name || 'Unnamed spool';
