import { fromMm, type Day } from '$lib/core';
import { asWound } from '$lib/inventory/wound';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import papa from 'papaparse';
import { listSpools } from '../repositories/spools';
import { listWindings } from '../repositories/windings';
import { care } from './care';

/** What is on the rack as tables for a spreadsheet: a row a thing, the unit in each column's name. Columns only ever come after these. */

type Cell = string | number | boolean | null;
/** A table's columns, in order, and its rows. */
interface Table {
	readonly columns: readonly string[];
	readonly rows: readonly (readonly Cell[])[];
}

/** Decimals of a length in a table: a thousandth of the unit, more than anybody measures. */
const DECIMALS = 3;
const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

class Lengths {
	readonly long: 'yd' | 'm';
	readonly small: 'mm' | 'in';
	constructor(units: UnitSystem) {
		[this.long, this.small] = [longUnit(units), smallUnit(units)];
	}
	inLong = (mm: number | null): number | null => (mm === null ? null : rounded(fromMm(mm, this.long)));
	inSmall = (mm: number | null | undefined): number | null =>
		mm === null || mm === undefined ? null : rounded(fromMm(mm, this.small));
}

const nameOf = (name: string): string => name || 'Unnamed spool';

async function windingsTable(db: Knex, { long, small, inLong, inSmall }: Lengths): Promise<Table> {
	const names = new Map((await listSpools(db)).map(({ id, form }) => [id, nameOf(form.name)]));
	return {
		columns: [
			'winding_id',
			'spool_id',
			'spool',
			'wound_on',
			'wound_by',
			'backing_turns',
			`stop_depth_${small}`,
			`gap_${small}`,
			`backing_length_${long}`,
			'backing_measured',
			`gap_foreseen_${small}`,
			`gap_foreseen_low_${small}`,
			`gap_foreseen_high_${small}`,
			'on_it'
		],
		rows: (await listWindings(db)).map((winding) => {
			const { foreseen, form } = winding;
			const strands = asWound(form, winding)?.workout.parts.map(({ short }) => short) ?? [];
			return [
				winding.id,
				winding.spoolId,
				names.get(winding.spoolId) ?? nameOf(form.spool.name),
				winding.woundOn.toString(),
				winding.typed.who.trim(),
				winding.turns,
				inSmall(winding.depthMm),
				inSmall(winding.gapMm),
				inLong(winding.backingMm),
				winding.backingMeasured,
				inSmall(foreseen?.foreseenMm),
				inSmall(foreseen?.lowMm),
				inSmall(foreseen?.highMm),
				strands.join(' + ')
			];
		})
	};
}

async function spoolsTable(db: Knex, { long, small, inLong, inSmall }: Lengths): Promise<Table> {
	const newest = new Map((await listWindings(db)).map((winding) => [winding.spoolId, winding]));
	return {
		columns: [
			'spool_id',
			'spool',
			'hand',
			'cage',
			'measured_by',
			`across_rims_${small}`,
			`across_arbor_${small}`,
			`between_flanges_${small}`,
			'wound_on',
			`backing_length_${long}`,
			`gap_${small}`
		],
		rows: (await listSpools(db)).map(({ id, form }) => {
			const winding = newest.get(id);
			const spool = winding && asWound({ spool: form, fill: winding.form.fill }, winding)?.spool;
			return [
				id,
				nameOf(form.name),
				form.hand,
				form.cage,
				form.way,
				inSmall(spool && 2 * spool.rimRadiusMm),
				inSmall(spool && 2 * spool.arborRadiusMm),
				inSmall(spool?.profile.at(-1)?.widthMm),
				winding?.woundOn.toString() ?? null,
				inLong(winding?.backingMm ?? null),
				inSmall(winding?.gapMm)
			];
		})
	};
}

async function strandsTable(db: Knex, { long, inLong }: Lengths, today: Day): Promise<Table> {
	const { entries } = await care(db, today);
	return {
		columns: [
			'strand_id',
			'strand',
			'kind',
			`length_${long}`,
			'where',
			'spool_id',
			'days_fished',
			'days_in_salt',
			'jobs_due'
		],
		rows: entries.map(({ kept, where, spoolId, state, dues }) => [
			kept.id,
			kept.label,
			kept.kind,
			inLong(kept.lengthMm),
			where,
			spoolId,
			state.daysOut,
			state.saltDays,
			dues.filter(({ overdue }) => overdue).length
		])
	};
}

const TABLES = { spools: spoolsTable, strands: strandsTable, windings: windingsTable } as const;
export type TableName = keyof typeof TABLES;
export const isTable = (name: string): name is TableName => Object.hasOwn(TABLES, name);

/**
 * A table as CSV (RFC 4180, UTF-8, a heading row). A text that a spreadsheet would take for a formula begins with an apostrophe.
 *
 * @param today the day on which jobs are due or not
 */
export async function csvOf(db: Knex, name: TableName, units: UnitSystem, today: Day): Promise<string> {
	const { columns, rows } = await TABLES[name](db, new Lengths(units), today);
	return papa.unparse({ fields: [...columns], data: rows.map((row) => [...row]) }, { escapeFormulae: true });
}
