import { learnRack, learntFor, type Day, type Learnt, type RackWinding } from '$lib/core';
import { rackWindingOf, yearsBetween } from '$lib/inventory/rack-windings';
import { winderOf } from '$lib/inventory/winder';
import { strandIdOf } from '$lib/inventory/strands';
import type { Winding } from '$lib/inventory/winding';
import { problemOf } from '$lib/setup/evaluate';
import { readForm } from '$lib/setup/evaluate-form';
import type { SetupForm } from '$lib/setup/form';
import { kindOfStrand, spoolText, strandText, thingsHere } from '$lib/setup/learnt';
import type { LearntHere } from '$lib/setup/learnt-here';
import { Reader } from '$lib/setup/read-text';
import { DEFAULT_UNITS } from '$lib/wording/units';
import type { Knex } from 'knex';
import { ReadBefore, write, type WriteId } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import { leaveOut, listLeftOut } from '../repositories/learnt';
import { listSpools, type SpoolRow } from '../repositories/spools';
import { findWinding } from '../repositories/windings';
import { strandsNow, type StrandsNow } from './inventory';

/** Everything that the rack has taught, and the windings that it comes from. */
export interface RackLearnt {
	readonly learnt: Learnt;
	/** By the id of the winding: those of which anything was read, left out or not. */
	readonly windings: ReadonlyMap<string, RackWinding>;
	readonly records: readonly Winding[];
	readonly leftOut: ReadonlySet<string>;
	readonly spools: readonly SpoolRow[];
	readonly strands: StrandsNow;
}

/** What a winding was made of when it was last taken; the same as long as neither it nor what it names has changed. */
interface Taken {
	readonly record: Winding;
	readonly described: string;
	readonly winding: RackWinding | undefined;
}
interface Before {
	readonly key: string;
	readonly from: readonly [records: readonly Winding[], made: object];
	readonly taken: ReadonlyMap<string, Taken>;
	readonly rack: RackLearnt;
}
const before = new ReadBefore<Before>();

function takenOf(
	record: Winding,
	{ made, stayed }: StrandsNow,
	spool: SpoolRow | undefined,
	first: Day,
	earlier: Taken | undefined
): Taken {
	const laid = stayed.get(record.id);
	const strandIds = record.form.fill.stack.map((component) => strandIdOf(record.setupId, component));
	const described = JSON.stringify([
		spool?.form,
		strandIds.map((id) => [made.get(id)?.made, laid?.get(id)]),
		first.toString()
	]);
	if (earlier?.record === record && earlier.described === described) return earlier;
	const winding = rackWindingOf(record, {
		spool: spool?.form,
		made: (id) => made.get(id),
		laid: (id) => laid?.get(id),
		first
	});
	return { record, described, winding };
}

/**
 * All windings of the rack as one problem, solved anew when one is recorded, corrected, undone or left out, or when a spool or a strand
 * is described otherwise; from the earlier solution, so that this takes little.
 */
export async function rackLearnt(db: Knex): Promise<RackLearnt> {
	const strands = await strandsNow(db);
	const spools = await listSpools(db);
	const leftOut = await listLeftOut(db);
	const { records, made } = strands;
	const earlier = before.get(db);
	const key = [...spools.map(({ id, version }) => `${id}/${version}`), ...leftOut].join();
	if (earlier?.key === key && earlier.from[0] === records && earlier.from[1] === made) return earlier.rack;
	const spoolOf = new Map(spools.map((spool) => [spool.id, spool]));
	const first = records.reduce<Day | undefined>(
		(day, { woundOn }) => (day && day.compare(woundOn) <= 0 ? day : woundOn),
		undefined
	);
	const taken = new Map(
		records.map((record) => [
			record.id,
			takenOf(record, strands, spoolOf.get(record.spoolId), first!, earlier?.taken.get(record.id))
		])
	);
	const windings = new Map([...taken].flatMap(([id, { winding }]) => (winding ? [[id, winding]] : [])));
	const out = new Set(leftOut);
	const counting = [...windings.values()].filter(({ id }) => !out.has(id));
	const rack: RackLearnt = {
		learnt: learnRack(counting, earlier?.rack.learnt),
		windings,
		records,
		leftOut: out,
		spools,
		strands
	};
	before.set(db, { key, from: [records, made], taken, rack });
	return rack;
}

/** Who winds at a device: as it was said there, else the only one who ever wound here. */
export function whoWinds(records: readonly Winding[], said: string): string {
	const names = new Map(records.map(({ typed: { who } }) => [winderOf(who), who.trim()]));
	return said.trim() || (names.size === 1 ? [...names.values()][0]! : '');
}

/** Whose set-up it is, where that is known. */
export interface SetupOf {
	readonly setupId?: string | undefined;
	readonly spoolId?: string | undefined;
	/** Who is going to wind it. */
	readonly who: string;
	readonly today: Day;
}

/** What a set-up starts from: what the rack knows of its spool, its strands and its winder. Undefined while that is nothing. */
export async function learntHere(
	db: Knex,
	form: SetupForm,
	{ setupId = '', spoolId = '', who, today }: SetupOf
): Promise<LearntHere | undefined> {
	const { learnt, records } = await rackLearnt(db);
	const winder = winderOf(whoWinds(records, who));
	const reader = new Reader();
	const { description } = readForm(form, DEFAULT_UNITS, reader);
	const described = reader.issues.length > 0 ? undefined : problemOf(description);
	if (!described?.ok || learnt.windings.size === 0 || !learnt.converged) return undefined;
	const texts = { spool: spoolText(description), strands: description.stack.map(strandText) };
	const things = {
		spool: spoolId,
		winder,
		years: Math.max(...records.map(({ woundOn }) => yearsBetween(woundOn, today)), 0),
		strands: description.stack.map((strand, i) => {
			const component = form.fill.stack[i]!;
			return { id: strandIdOf(setupId, component), kind: kindOfStrand(strand), laid: 'next' };
		})
	};
	const told = learntFor(learnt, { ...described.value, things }, thingsHere(description, texts));
	return told.ids.length > 0 ? { ...texts, ids: [...told.ids], ...numbersOf(told) } : undefined;
}

const numbersOf = ({ mean, covariance }: ReturnType<typeof learntFor>) => ({
	mean: [...mean],
	covariance: covariance.map((row) => [...row])
});

/** Leaves a winding out of what is learnt, or counts it again; it stays on the rack either way. */
export const countWinding = (
	db: Knex,
	asked: WriteId,
	{ recordId, counts }: { recordId: string; counts: boolean }
): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		if (!(await findWinding(trx, recordId))) return gone('winding');
		await leaveOut(trx, [recordId], !counts);
		return done(null);
	});
