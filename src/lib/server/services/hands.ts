import {
	isKnown,
	RANGE_Z,
	stopOf,
	type Known,
	type Problem,
	type RackWinding,
	type Ranged,
	type WindingHand
} from '$lib/core';
import type { HandSummary } from '$lib/inventory/hand';
import type { Winding } from '$lib/inventory/winding';
import type { Knex } from 'knex';
import { write, type WriteId } from '../db/write';
import { done, type Outcome } from '../outcome';
import { leaveOut } from '../repositories/learnt';
import { rackLearnt, type RackLearnt } from './learnt';
import { grouped, knownOf, toldOf } from './learnt-told';

/** Backing that was wound from the arbor, counted and read: what it says of the hand that wound it. */
interface Fill {
	readonly record: Winding;
	readonly rackWinding: RackWinding;
	readonly winding: WindingHand;
	readonly material: string;
}

function fillsOf({ records, windings }: RackLearnt): Fill[] {
	return records.flatMap((record) => {
		const rackWinding = windings.get(record.id);
		const at = rackWinding ? stopOf(rackWinding.problem.stack) : -1;
		const made = record.form.fill.stack[at]?.made;
		if (!rackWinding || made?.way !== 'material') return [];
		const counted = rackWinding.readings.some(
			(reading) => reading.kind === 'depth' && reading.turns !== undefined
		);
		return counted
			? [{ record, rackWinding, winding: record.form.fill.winding, material: made.material }]
			: [];
	});
}

/** η of the strand that is wound to the gap, as its nominal diameter has it: thickness and tightness in one number. */
function layOf(nominal: Problem, { stack }: Problem): number {
	const at = stopOf(nominal.stack);
	const [was, is] = [nominal.stack[at]!, stack[at]!];
	const diameter = (strand: typeof was): number =>
		isKnown(strand) ? strand.sections[0]!.startDiameterMm : strand.diameterMm;
	return is.layEfficiency * (diameter(was) / diameter(is)) ** 2;
}

const asLay = ({ value, range }: Ranged) => ({
	layEfficiency: value,
	share: (range.high - range.low) / (2 * RANGE_Z * value)
});

function layTold(rack: RackLearnt, known: Known) {
	const at = stopOf(known.problem.stack);
	const { before, now } = toldOf(
		rack,
		known,
		({ key, component }) => component === at || (key === 'lay' && component === undefined),
		(problem) => layOf(known.problem, problem)
	);
	return { before: asLay(before), now: asLay(now) };
}

/** The same set-up with other backing of the same kind, wound another time. */
function nextOf({ problem, spreads, things }: Known): Known {
	const strands = things.strands.map((strand, i) =>
		i === stopOf(problem.stack) ? { ...strand, id: 'next', laid: 'next' } : strand
	);
	return { problem, spreads, things: { ...things, strands } };
}

function summaryOf(
	rack: RackLearnt,
	winding: WindingHand,
	material: string,
	fills: readonly Fill[]
): HandSummary {
	const latest = fills.findLast(({ record }) => !rack.leftOut.has(record.id)) ?? fills.at(-1)!;
	const next = layTold(rack, nextOf(knownOf(latest.rackWinding)));
	return {
		winding,
		material,
		prior: next.before,
		posterior: next.now,
		fills: fills.map(({ record, rackWinding }) => ({
			recordId: record.id,
			spool: record.form.spool.name || 'Unnamed spool',
			woundOn: record.woundOn.toString(),
			...layTold(rack, knownOf(rackWinding)).now,
			counts: !rack.leftOut.has(record.id)
		}))
	};
}

/** How tightly each backing is wound in each manner, by what the rack has learnt, with the fills behind it. */
export async function hands(db: Knex): Promise<HandSummary[]> {
	const rack = await rackLearnt(db);
	const byHand = grouped(fillsOf(rack), ({ winding, material }) => [`${winding}/${material}`]);
	return [...byHand.values()].map((fills) => summaryOf(rack, fills[0]!.winding, fills[0]!.material, fills));
}

/** Leaves the fills of a hand out of what is learnt, or counts them again; they stay written down. */
export const forgetHand = (
	db: Knex,
	asked: WriteId,
	{ winding, material, forget }: { winding: string; material: string; forget: boolean }
): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		const fills = fillsOf(await rackLearnt(trx));
		const own = fills.filter((fill) => fill.winding === winding && fill.material === material);
		await leaveOut(
			trx,
			own.map(({ record }) => record.id),
			forget
		);
		return done(null);
	});
