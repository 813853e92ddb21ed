import {
	judge,
	ok,
	rightLength,
	type BackingMaterial,
	type Issue,
	type LineClass,
	type Path,
	type Problem,
	type Result,
	type RightLength,
	type Verdict
} from '$lib/core';
import { leaderUnit, smallUnit, type UnitSystem } from '$lib/wording/units';
import { BOUNDS } from './bounds';
import type { SetupDescription } from './description';
import { evaluate, type Evaluation } from './evaluate';
import type { FillForm, SetupForm, SpoolForm } from './form';
import { gapOver, type GapLeft } from './gap-over';
import type { LearntHere } from './learnt-here';
import { readSource, readSpreads } from './read-spool';
import { readParts, readSwap, type Part } from './read-strands';
import { readField, readGear, readOptional, Reader, readTurns } from './read-text';

/** Another head, tip or line in the place of one in the stack, everything else as it lies. */
export interface SwapFit extends GapLeft {
	readonly id: string;
	readonly part: Part;
	/** Place in the stack. */
	readonly index: number;
}

/** Everything a set-up as typed amounts to. */
export interface Workout extends Evaluation {
	readonly verdict: Verdict;
	/** From the arbor outward, one for each layer of the fit. */
	readonly parts: readonly Part[];
	/** What the line is, or comes to: what is usual under it goes by that. */
	readonly line: LineClass;
	/** Heads over a running line: what is usual under them goes by that, and no class names them. */
	readonly headed: boolean;
	readonly material?: BackingMaterial;
	/** Where the backing's length was given: how much of it would be right. */
	readonly given?: RightLength;
	readonly swaps: readonly SwapFit[];
	readonly leaderMm: number;
	/** Turns of the spool for one turn that is counted. Everything here is in turns of the spool. */
	readonly gear: number;
}

/** What to call a line that nobody has described: something has to stand under "usual". */
const ORDINARY: LineClass = { taper: 'WF', number: 5, density: 'F' };
/** Under heads on a running line some 150 yd are usual, as under the heavy lines. Common practice. */
const TWO_HANDED_LINE: LineClass = { taper: 'WF', number: 10, density: 'F' };

/** Fields of the form by the measure of the core that they give. */
const FIELD_OF: Record<string, Path> = {
	arborDiameterMm: ['spool', 'arbor'],
	rimDiameterMm: ['spool', 'rim'],
	frameDiameterMm: ['spool', 'frame'],
	profile: ['spool', 'arbor'],
	halfFitMm: ['fill', 'halfFit'],
	reverseTurns: ['fill', 'reverseTurns']
};
const FIRST_FIELD: Record<Problem['source']['kind'], Path> = {
	measured: ['spool', 'rim'],
	profile: ['spool', 'arbor'],
	rated: ['spool', 'ratings', 0, 'length']
};

/** Issues of a description, at the fields of the form that they belong to. */
const atFields = (issues: readonly Issue[], kind: Problem['source']['kind']): Issue[] =>
	issues.map((issue) => {
		const [head, inner] = issue.path;
		if (head === 'stack') return { ...issue, path: ['fill', 'stack', inner!, 'length'] };
		const path = head === 'spool' ? (FIELD_OF[String(inner)] ?? FIRST_FIELD[kind]) : FIELD_OF[String(head)];
		return { ...issue, path: path ?? ['fill', 'gap'] };
	});

function swapsOf(
	fill: FillForm,
	{ known, fit, stack }: Evaluation,
	units: UnitSystem,
	reader: Reader
): SwapFit[] {
	const { spool } = known;
	return fill.swaps.flatMap((swap, i) => {
		const index = fill.stack.findIndex(({ id }) => id === swap.of);
		if (index < 0) return [];
		const part = readSwap(swap, fill.stack[index]!.role, fill, units, reader, ['fill', 'swaps', i]);
		if (reader.issues.length > 0) return [];
		const under = fit.layers[index - 1]?.outerRadiusMm ?? spool.arborRadiusMm;
		const gap = gapOver(spool, under, [part.component, ...stack.slice(index + 1)]);
		return [{ id: swap.id, part, index, ...gap }];
	});
}

/** A form as it was read: quantities, no longer text. */
export interface ReadForm {
	readonly description: SetupDescription;
	readonly parts: readonly Part[];
	readonly leaderMm: number;
	readonly gear: number;
}

/** Reads a form into its description; issues go to `reader` with the path of their field. */
export function readForm(
	{ spool, fill }: SetupForm,
	units: UnitSystem,
	reader: Reader,
	learnt?: LearntHere
): ReadForm {
	const small = smallUnit(units);
	const source = readSource(spool, units, reader);
	const parts = readParts(fill, units, reader);
	const gapMm = reader.take(readField(fill.gap, small, BOUNDS.gap, ['fill', 'gap']), 0);
	const leader = readField(fill.leader, leaderUnit(units), BOUNDS.leader, ['fill', 'leader']);
	const leaderMm = reader.take(leader, 0);
	const spreads = readSpreads(fill.spreads, units, reader);
	const halfFit = readOptional(fill.halfFit, small, BOUNDS.depth, ['fill', 'halfFit']);
	const halfFitMm = reader.take(halfFit, undefined);
	const turns =
		fill.reverseTurns.trim() === '' ? ok(undefined) : readTurns(fill.reverseTurns, ['fill', 'reverseTurns']);
	const gear = reader.take(readGear(spool.gear, ['spool', 'gear']), 1);
	const counted = reader.take<number | undefined>(turns, undefined);
	const reverseTurns = counted === undefined ? undefined : counted * gear;
	return {
		description: {
			spool: source,
			stack: parts.map(({ description }) => description),
			gapMm,
			spreads,
			...(halfFitMm !== undefined && { halfFitMm }),
			...(reverseTurns !== undefined && { reverseTurns }),
			learnt
		},
		parts,
		leaderMm,
		gear
	};
}

/**
 * Works a set-up out: what was typed, through the core, to the answers and the judgement.
 * Issues carry the path of the field in the form.
 *
 * @param learnt what earlier windings have taught of its spool, strands and winder
 */
export function workOut(form: SetupForm, units: UnitSystem, learnt?: LearntHere): Result<Workout> {
	const { spool, fill } = form;
	if (learnt || !Object.isFrozen(spool) || !Object.isFrozen(fill)) return workOutAnew(form, units, learnt);
	const onSpools = workedOut.get(fill) ?? new WeakMap<SpoolForm, WorkedOut>();
	workedOut.set(fill, onSpools);
	const before = onSpools.get(spool);
	if (before?.units === units) return before.result;
	const result = workOutAnew(form, units);
	onSpools.set(spool, { units, result });
	return result;
}

interface WorkedOut {
	readonly units: UnitSystem;
	readonly result: Result<Workout>;
}
/** Set-ups that nobody can change any more, worked out: a server reads the same rows for page after page. */
const workedOut = new WeakMap<FillForm, WeakMap<SpoolForm, WorkedOut>>();

function workOutAnew(form: SetupForm, units: UnitSystem, learnt?: LearntHere): Result<Workout> {
	const reader = new Reader();
	const { description, parts, leaderMm, gear } = readForm(form, units, reader, learnt);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };
	const evaluated = evaluate(description);
	if (!evaluated.ok) return { ok: false, issues: atFields(evaluated.issues, description.spool.kind) };
	const { problem, fit, estimate, stopIndex } = evaluated.value;
	const headed = parts.some(({ role }) => role === 'head' || role === 'running-line');
	const line =
		parts.findLast((part) => part.line && part.role !== 'tip')?.line ?? (headed ? TWO_HANDED_LINE : ORDINARY);
	const swaps = swapsOf(form.fill, evaluated.value, units, reader);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };
	const material = parts[stopIndex]?.material;
	const given = rightLength(problem, stopIndex);
	return ok({
		...evaluated.value,
		verdict: judge(problem, fit, estimate, line),
		parts,
		line,
		headed,
		...(material && { material }),
		...(given && { given }),
		swaps,
		leaderMm,
		gear
	});
}
