import {
	fail,
	MAX_LAY_EFFICIENCY,
	ok,
	parseLength,
	parseMass,
	parseStrand,
	toMm,
	under,
	type Issue,
	type LengthUnit,
	type Path,
	type Result,
	type StrandDensity,
	type StrandDiameter
} from '$lib/core';

interface Bounds {
	readonly min: number;
	readonly max: number;
	readonly unit: LengthUnit;
}

/** What a field may sensibly hold: wide enough for any reel, narrow enough to catch a slipped unit. */
export const BOUNDS = {
	spool: { min: 5, max: 400, unit: 'mm' },
	strand: { min: 0.05, max: 5, unit: 'mm' },
	backing: { min: 1, max: 2000, unit: 'm' },
	component: { min: 0.1, max: 2000, unit: 'm' },
	section: { min: 0.01, max: 200, unit: 'm' },
	line: { min: 1, max: 200, unit: 'm' },
	leader: { min: 0.1, max: 20, unit: 'm' },
	gap: { min: 0, max: 100, unit: 'mm' },
	depth: { min: 0, max: 200, unit: 'mm' },
	spread: { min: 0, max: 10, unit: 'mm' }
} as const satisfies Record<string, Bounds>;

function within(valueMm: number, { min, max, unit }: Bounds, path: Path): Result<number> {
	return valueMm >= toMm(min, unit) && valueMm <= toMm(max, unit)
		? ok(valueMm)
		: fail({ code: 'out_of_range', value: valueMm, min, max, unit }, path);
}

/** Reads a field that must be filled in. A bare number takes the unit shown beside the field. */
export function readField(text: string, unit: LengthUnit, bounds: Bounds, path: Path): Result<number> {
	const read = parseLength(text, unit);
	return read.ok ? within(read.value, bounds, path) : { ok: false, issues: under(read.issues, ...path) };
}

/** Reads a field that may stay empty. */
export const readOptional = (
	text: string,
	unit: LengthUnit,
	bounds: Bounds,
	path: Path
): Result<number | undefined> => (text.trim() === '' ? ok(undefined) : readField(text, unit, bounds, path));

/** Reads a strand's diameter, typed in any of the ways it is come by; undefined when empty. */
export function readStrandField(
	text: string,
	unit: LengthUnit,
	density: StrandDensity,
	path: Path
): Result<StrandDiameter | undefined> {
	if (text.trim() === '') return ok(undefined);
	const read = parseStrand(text, unit, density);
	if (!read.ok) return { ok: false, issues: under(read.issues, ...path) };
	const bounded = within(read.value.diameterMm, BOUNDS.strand, path);
	return bounded.ok ? read : bounded;
}

/** Most a line weighs, g: a full spey line is about 60. */
const MAX_LINE_G = 300;

export function readMass(text: string, path: Path): Result<number> {
	const read = parseMass(text, 'g');
	if (!read.ok) return { ok: false, issues: under(read.issues, ...path) };
	return read.value >= 1 && read.value <= MAX_LINE_G
		? read
		: fail({ code: 'out_of_range', value: read.value, min: 1, max: MAX_LINE_G, unit: 'g' }, path);
}

/** Reads "5 %", "5" or "0,5 %" as a share; undefined when empty. */
export function readShare(text: string, path: Path): Result<number | undefined> {
	const plain = text.trim();
	if (plain === '') return ok(undefined);
	const percent = Number(plain.replace(/\s*%$/, '').replace(',', '.'));
	return Number.isFinite(percent) && percent >= 0 && percent <= 50
		? ok(percent / 100)
		: fail({ code: 'not_a_share', text }, path);
}

/** Reads a count: "949" or "949 turns". */
export function readTurns(text: string, path: Path): Result<number> {
	const turns = Number(text.trim().replace(/\s*turns?$/i, ''));
	if (!Number.isFinite(turns)) return fail({ code: 'unreadable_quantity', text }, path);
	return turns >= 0 && turns <= 100_000
		? ok(turns)
		: fail({ code: 'out_of_range', value: turns, min: 0, max: 100_000, unit: 'turns' }, path);
}

export interface OwnLay {
	readonly layEfficiency: number;
	/** 1σ, where it was given. */
	readonly share?: number;
}

const LEAST_LAY = 0.4;
const LAY = /^\s*([01]?[.,]\d+|1)\s*(?:(?:±|\+\/?-)\s*(\d+(?:[.,]\d+)?)\s*%)?\s*$/;
const decimal = (text: string): number => Number(text.replace(',', '.'));

/** Reads "0.86" or "0.86 ± 3 %"; undefined when empty. */
export function readLay(text: string, path: Path): Result<OwnLay | undefined> {
	if (text.trim() === '') return ok(undefined);
	const match = LAY.exec(text);
	if (!match) return fail({ code: 'unreadable_lay', text }, path);
	const layEfficiency = decimal(match[1]!);
	const share = match[2] === undefined ? undefined : decimal(match[2]) / 100;
	// Less than the loosest heap is a slip of the pen.
	if (layEfficiency < LEAST_LAY) return fail({ code: 'unreadable_lay', text }, path);
	if (layEfficiency > MAX_LAY_EFFICIENCY)
		return fail({ code: 'packing_above_hexagonal', layEfficiency, limit: MAX_LAY_EFFICIENCY }, path);
	return share !== undefined && share > 0.5
		? fail({ code: 'not_a_share', text }, path)
		: ok({ layEfficiency, ...(share !== undefined && { share }) });
}

/** The same as it is written. */
export const writeLay = ({ layEfficiency, share }: OwnLay): string =>
	`${layEfficiency.toFixed(2)}${share === undefined ? '' : ` ± ${(100 * share).toFixed(1)} %`}`;

/** Collects every issue while reading, and stands in a harmless value where there was one. */
export class Reader {
	readonly issues: Issue[] = [];
	take<T>(result: Result<T>, standIn: T): T {
		if (result.ok) return result.value;
		this.issues.push(...result.issues);
		return standIn;
	}
}
