import {
	beforeAndNow,
	findMaterial,
	parseLineClass,
	idsBehind,
	isOdd,
	isKnown,
	marginalOf,
	packingFraction,
	spaceMm3,
	spoolOf,
	stopOf,
	type BeforeAndNow,
	type Known,
	type Problem,
	type Ranged,
	type RackWinding
} from '$lib/core';
import type { BeforeNow, LearntAnswer } from '$lib/inventory/learnt';
import { winderOf } from '$lib/inventory/winder';
import { lineLabel } from '$lib/wording/strands';
import type { Knex } from 'knex';
import { listWindings } from '../repositories/windings';
import { rackLearnt, whoWinds, type RackLearnt } from './learnt';

type Input = Parameters<Parameters<typeof beforeAndNow>[1]>[0];

const wire = ({ value, range }: Ranged) => ({ value, ...range });
const beforeNow = ({ before, now }: BeforeAndNow): BeforeNow => ({ before: wire(before), now: wire(now) });

/** What the rack knows of a quantity of a set-up, with what some of its inputs leave open. */
export function toldOf(
	{ learnt }: RackLearnt,
	known: Known,
	which: (input: Input) => boolean,
	of: (problem: Problem) => number | undefined
): BeforeAndNow {
	return beforeAndNow(known, which, marginalOf(learnt, idsBehind(known, which)), of);
}

/** A winding's set-up and its things. */
export const knownOf = (winding: RackWinding): Known => ({
	problem: winding.problem,
	spreads: winding.spreads,
	things: winding
});

/** Room that a strand takes, mm³ a millimetre of backing or in all. */
function roomOf({ stack }: Problem, at: number): number {
	const strand = stack[at]!;
	return isKnown(strand) ? spaceMm3(strand) : strand.diameterMm ** 2 / packingFraction(strand.layEfficiency);
}

/** Things by what they have, in the order in which that first comes. */
export function grouped<T, K>(things: readonly T[], of: (thing: T) => readonly K[]): Map<K, T[]> {
	const groups = new Map<K, T[]>();
	for (const thing of things)
		for (const key of new Set(of(thing))) groups.set(key, [...(groups.get(key) ?? []), thing]);
	return groups;
}
const idsOf = (windings: readonly RackWinding[]): string[] => windings.map(({ id }) => id);

function spoolsTold(rack: RackLearnt, counting: readonly RackWinding[]): LearntAnswer['spools'] {
	const names = new Map(rack.spools.map(({ id, form }) => [id, form.name]));
	return [...grouped(counting, ({ spool }) => [spool])].flatMap(([spoolId, windings]) => {
		const name = names.get(spoolId);
		if (name === undefined) return [];
		const known = knownOf(windings.at(-1)!);
		const told = (of: (spool: { rim: number; arbor: number; width: number }) => number): BeforeNow =>
			beforeNow(
				toldOf(
					rack,
					known,
					({ key, component }) => component === undefined && key !== 'lay',
					({ source }) => {
						const built = spoolOf(source);
						if (!built.ok) return undefined;
						const { rimRadiusMm, arborRadiusMm, profile } = built.value.spool;
						return of({ rim: 2 * rimRadiusMm, arbor: 2 * arborRadiusMm, width: profile.at(-1)!.widthMm });
					}
				)
			);
		return [
			{
				spoolId,
				name: name || 'Unnamed spool',
				rimMm: told(({ rim }) => rim),
				arborMm: told(({ arbor }) => arbor),
				widthMm: told(({ width }) => width),
				windings: idsOf(windings)
			}
		];
	});
}

/** Room that a strand takes against what is described of it. */
function strandTold(rack: RackLearnt, known: Known, at: number): BeforeNow {
	const described = roomOf(known.problem, at);
	return beforeNow(
		toldOf(
			rack,
			known,
			({ component }) => component === at,
			(problem) => roomOf(problem, at) / described
		)
	);
}

function strandsTold(
	{ strands, ...rack }: RackLearnt,
	counting: readonly RackWinding[]
): LearntAnswer['strands'] {
	const names = new Map(rack.spools.map(({ id, form }) => [id, form.name]));
	const labels = new Map(strands.kept.map(({ id, label }) => [id, label]));
	return [...grouped(counting, (winding) => winding.strands.map(({ id }) => id))].flatMap(
		([id, windings]) => {
			const label = labels.get(id);
			const latest = windings.at(-1)!;
			if (label === undefined) return [];
			const known = knownOf(latest);
			const at = latest.strands.findIndex((strand) => strand.id === id);
			const things = {
				...known.things,
				strands: known.things.strands.with(at, { ...known.things.strands[at]!, laid: 'next' })
			};
			const room = strandTold({ strands, ...rack }, { ...known, things }, at);
			const there = strands.states.get(id)?.whereabouts;
			const where =
				there?.on === 'spool' ? (names.get(there.spoolId) ?? '') : there?.on === 'coil' ? there.label : '';
			return [{ strand: id, label, where, room, windings: idsOf(windings) }];
		}
	);
}

/** A kind as people call it. */
function kindName(kind: string): string {
	const material = findMaterial(kind);
	if (material.ok) return material.value.label;
	const line = parseLineClass(kind);
	return line.ok ? lineLabel(line.value) : kind;
}

function kindsTold(rack: RackLearnt, counting: readonly RackWinding[]): LearntAnswer['kinds'] {
	const kinds = grouped(counting, ({ strands }) => strands.flatMap(({ kind }) => kind ?? []));
	return [...kinds].map(([kind, windings]) => {
		const latest = windings.at(-1)!;
		const at = latest.strands.findIndex((strand) => strand.kind === kind);
		const next = { id: 'next', kind, laid: 'next' };
		const things = { ...latest, strands: latest.strands.with(at, next) };
		const room = strandTold(rack, { ...knownOf(latest), things }, at);
		return { kind: kindName(kind), room, windings: idsOf(windings) };
	});
}

function windersTold(rack: RackLearnt, counting: readonly RackWinding[]): LearntAnswer['winders'] {
	const names = new Map(rack.records.map(({ typed }) => [winderOf(typed.who), typed.who.trim()]));
	return [...grouped(counting, ({ winder }) => [winder])].map(([winder, windings]) => {
		const latest = windings.at(-1)!;
		const known = knownOf(latest);
		const tightness = (at: number): BeforeNow | undefined => {
			const strand = known.problem.stack[at];
			if (!strand) return undefined;
			return beforeNow(
				toldOf(
					rack,
					known,
					({ key, component }) => key === 'lay' && component === undefined,
					({ stack }) => stack[at]!.layEfficiency / strand.layEfficiency
				)
			);
		};
		const stop = stopOf(known.problem.stack);
		const [backing, lines] = [tightness(stop), tightness(stop + 1)];
		return {
			who: names.get(winder) ?? winder,
			...(backing && { backing }),
			...(lines && { lines }),
			windings: idsOf(windings)
		};
	});
}

/** What all windings have taught, with the windings behind each of it. */
export async function learntTold(db: Knex): Promise<LearntAnswer> {
	const rack = await rackLearnt(db);
	const { windings, leftOut, records, learnt } = rack;
	const counting = [...windings.values()].filter(({ id }) => !leftOut.has(id));
	const names = new Map(rack.spools.map(({ id, form }) => [id, form.name]));
	return {
		converged: learnt.converged,
		spools: spoolsTold(rack, counting),
		strands: strandsTold(rack, counting),
		kinds: kindsTold(rack, counting),
		winders: windersTold(rack, counting),
		windings: records.flatMap(({ id, setupId, spoolId, form, woundOn, typed }) =>
			windings.has(id)
				? [
						{
							recordId: id,
							setupId,
							spool: (names.get(spoolId) ?? form.spool.name) || 'Unnamed spool',
							woundOn: woundOn.toString(),
							who: typed.who.trim(),
							counts: !leftOut.has(id),
							odd: isOdd(learnt, id)
						}
					]
				: []
		)
	};
}

/** The names of everyone who has wound here, the one who wound last first, and who winds now. */
export async function winders(db: Knex, said: string): Promise<{ winder: string; winders: string[] }> {
	const names = new Map<string, string>();
	const records = await listWindings(db);
	for (const { typed } of records) {
		const winder = winderOf(typed.who);
		names.delete(winder);
		if (winder !== '') names.set(winder, typed.who.trim());
	}
	return { winder: whoWinds(records, said), winders: [...names.values()].reverse() };
}
