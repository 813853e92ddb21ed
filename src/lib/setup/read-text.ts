import {
	fail,
	MAX_LAY_EFFICIENCY,
	ok,
	parseLength,
	parseMass,
	parseStrand,
	under,
	type Issue,
	type LengthUnit,
	type Path,
	type Result,
	type StrandDensity,
	type StrandDiameter
} from '$lib/core';
import { BOUNDS, LEAST_LAY_EFFICIENCY, MOST_SPREAD_SHARE, outOf, type Bounds } from './bounds';
import type { Lay } from './description';

const bounded = (value: number, bounds: Bounds, path: Path): Result<number> =>
	outOf(bounds, value, path) ?? ok(value);

/** Reads a field that must be filled in. A bare number takes the unit shown beside the field. */
export function readField(text: string, unit: LengthUnit, bounds: Bounds, path: Path): Result<number> {
	const read = parseLength(text, unit);
	return read.ok ? bounded(read.value, bounds, path) : { ok: false, issues: under(read.issues, ...path) };
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
	return outOf(BOUNDS.strand, read.value.diameterMm, path) ?? read;
}

export function readMass(text: string, path: Path, bounds: Bounds = BOUNDS.lineMass): Result<number> {
	const read = parseMass(text, 'g');
	return read.ok ? bounded(read.value, bounds, path) : { ok: false, issues: under(read.issues, ...path) };
}

/** Reads "5 %", "5" or "0,5 %" as a share; undefined when empty. */
export function readShare(text: string, path: Path): Result<number | undefined> {
	const plain = text.trim();
	if (plain === '') return ok(undefined);
	const percent = Number(plain.replace(/\s*%$/, '').replace(',', '.'));
	return Number.isFinite(percent) && percent >= 0 && percent <= 100 * MOST_SPREAD_SHARE
		? ok(percent / 100)
		: fail({ code: 'not_a_share', text }, path);
}

/** Reads a count: "949" or "949 turns". */
export function readTurns(text: string, path: Path): Result<number> {
	const turns = Number(text.trim().replace(/\s*turns?$/i, ''));
	if (!Number.isFinite(turns)) return fail({ code: 'unreadable_quantity', text }, path);
	return bounded(turns, BOUNDS.turns, path);
}

const GEAR = /^\s*(\d+(?:[.,]\d+)?)\s*(?:(?:in|:|\/|for)\s*(\d+(?:[.,]\d+)?))?\s*$/i;

/**
 * Reads how often the spool turns for one turn that is counted: "4.7", "4.7:1", or a few turns that were counted, "47 in 10". Empty is 1.
 */
export function readGear(text: string, path: Path): Result<number> {
	if (text.trim() === '') return ok(1);
	const match = GEAR.exec(text);
	const gear = match ? decimal(match[1]!) / (match[2] === undefined ? 1 : decimal(match[2])) : NaN;
	const { min, max } = BOUNDS.gear;
	return gear >= min && gear <= max ? ok(gear) : fail({ code: 'not_a_gear', text }, path);
}
/** The same of a set-up that is known to read. */
export const gearOf = ({ spool }: { spool: { gear: string } }): number => {
	const read = readGear(spool.gear, []);
	return read.ok ? read.value : 1;
};

const LAY = /^\s*([01]?[.,]\d+|1)\s*(?:(?:±|\+\/?-)\s*(\d+(?:[.,]\d+)?)\s*%)?\s*$/;
const decimal = (text: string): number => Number(text.replace(',', '.'));

/** Reads "0.86" or "0.86 ± 3 %"; undefined when empty. */
export function readLay(text: string, path: Path): Result<Lay | undefined> {
	if (text.trim() === '') return ok(undefined);
	const match = LAY.exec(text);
	if (!match) return fail({ code: 'unreadable_lay', text }, path);
	const layEfficiency = decimal(match[1]!);
	const share = match[2] === undefined ? undefined : decimal(match[2]) / 100;
	if (layEfficiency < LEAST_LAY_EFFICIENCY) return fail({ code: 'unreadable_lay', text }, path);
	if (layEfficiency > MAX_LAY_EFFICIENCY)
		return fail({ code: 'packing_above_hexagonal', layEfficiency, limit: MAX_LAY_EFFICIENCY }, path);
	return share !== undefined && share > MOST_SPREAD_SHARE
		? fail({ code: 'not_a_share', text }, path)
		: ok({ layEfficiency, ...(share !== undefined && { share }) });
}

/** The same as it is written. */
export const writeLay = ({ layEfficiency, share }: Lay): string =>
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
