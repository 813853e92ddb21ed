import { fail, ok, parseLength, under, withUnit, type Issue, type Result } from '$lib/core';
import { readTurns } from '$lib/setup/read-text';
import type { WindingForm } from './winding';
import { smallUnit, type UnitSystem } from '$lib/wording/units';

export interface Readings {
	turns: number | null;
	depthMm: number | null;
	gapMm: number | null;
}

const emptyIsNull = (text: string, read: () => Result<number>): Result<number | null> =>
	text.trim() === '' ? ok(null) : read();

function readMm(text: string, units: UnitSystem, field: 'depth' | 'gap', min: number): Result<number> {
	const read = parseLength(text, smallUnit(units));
	if (!read.ok) return { ok: false, issues: under(read.issues, field) };
	const max = 200;
	return read.value >= min && read.value <= max
		? read
		: fail({ code: 'out_of_range', value: read.value, min, max, unit: 'mm' }, [field]);
}

/** Reads what was typed at the end of a job. Any of it may be left open; what is there must make sense. */
export function readWinding(form: WindingForm, units: UnitSystem): Result<Readings> {
	const turns = emptyIsNull(form.turns, () => readTurns(form.turns, ['turns']));
	const depth = emptyIsNull(form.depth, () => readMm(form.depth, units, 'depth', 0));
	// A gap may come out negative: the line is above the rim, and that is worth writing down.
	const gap = emptyIsNull(form.gap, () => readMm(form.gap, units, 'gap', -20));
	const issues: Issue[] = [turns, depth, gap].flatMap((r) => (r.ok ? [] : r.issues));
	return turns.ok && depth.ok && gap.ok
		? ok({ turns: turns.value, depthMm: depth.value, gapMm: gap.value })
		: { ok: false, issues };
}

/** The same with every bare number given the unit it was typed in. */
export const settleWinding = (record: WindingForm, units: UnitSystem): WindingForm => ({
	...record,
	depth: withUnit(record.depth, smallUnit(units)),
	gap: withUnit(record.gap, smallUnit(units))
});
