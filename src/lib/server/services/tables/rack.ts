import type { Day } from '$lib/core';
import { asWound } from '$lib/inventory/wound';
import type { Knex } from 'knex';
import { listSpools } from '../../repositories/spools';
import { listWindings } from '../../repositories/windings';
import { care } from '../care';
import { nameOf, type Lengths, type Table } from './table';

export async function windingsTable(db: Knex, { long, small, inLong, inSmall }: Lengths): Promise<Table> {
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

export async function spoolsTable(db: Knex, { long, small, inLong, inSmall }: Lengths): Promise<Table> {
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

export async function strandsTable(db: Knex, { long, inLong }: Lengths, today: Day): Promise<Table> {
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
