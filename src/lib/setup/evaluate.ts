import {
	firstOrder,
	HAND_REPEAT_SHARE,
	isKnown,
	judge,
	level,
	RELAY_SHARE,
	reverseFill,
	scaleBulk,
	solveFit,
	spaceMm3,
	spoolOf,
	surfaceAtDepth,
	under,
	ok,
	volumeToRadius,
	widthAtRadius,
	type BackingMaterial,
	type FirstOrder,
	type Fit,
	type Issue,
	type KnownComponent,
	type KnownSpool,
	type LineClass,
	type Path,
	type Problem,
	type Result,
	type ReverseFillReading,
	type Spool,
	type SpoolSource,
	type Spreads,
	type Stack,
	type Verdict
} from '$lib/core';
import { BOUNDS, readField, readOptional, readTurns, Reader } from './read-text';
import { checkOpen, readParts, readSwap, type Part } from './read-strands';
import type { FillForm, SetupForm } from './form';
import { readSource, readSpreads } from './read-spool';
import { leaderUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

/** Another head, tip or line in the place of one in the stack, everything else as it lies. */
export interface Swapped {
	readonly id: string;
	readonly part: Part;
	/** Place in the stack. */
	readonly index: number;
	readonly gapMm: number;
	readonly fits: boolean;
}

/** Everything a set-up amounts to. */
export interface Workout {
	readonly problem: Problem;
	readonly known: KnownSpool;
	readonly fit: Fit;
	readonly estimate: FirstOrder;
	readonly spreads: Spreads;
	readonly verdict: Verdict;
	/** From the arbor outward, one for each layer of the fit. */
	readonly parts: readonly Part[];
	/** The same with every length known, the solved one too. */
	readonly stack: readonly KnownComponent[];
	/** Place of the component whose end is the stop: the one that is solved, else the backing; −1 when none. */
	readonly stopIndex: number;
	/** What the line is, or comes to: what is usual under it goes by that. */
	readonly line: LineClass;
	readonly material?: BackingMaterial;
	readonly swaps: readonly Swapped[];
	readonly leaderMm: number;
	/** The line's bulk was measured on this very spool. */
	readonly halfFitted: boolean;
}

/** Issues of the core point into its own shapes; these are the fields they belong to. */
const FIELD_OF: Record<string, Path> = {
	arborDiameterMm: ['spool', 'arbor'],
	rimDiameterMm: ['spool', 'rim'],
	frameDiameterMm: ['spool', 'frame'],
	profile: ['spool', 'arbor'],
	gapMm: ['fill', 'gap']
};
const atField = (issues: readonly Issue[], otherwise: Path): Issue[] =>
	issues.map((issue) => ({ ...issue, path: FIELD_OF[String(issue.path[0])] ?? otherwise }));

/** What to call a line that nobody has described: something has to stand under "usual". */
const ORDINARY: LineClass = { taper: 'WF', number: 5, density: 'F' };

const FIRST_FIELD: Record<Problem['source']['kind'], Path> = {
	measured: ['spool', 'rim'],
	profile: ['spool', 'arbor'],
	rated: ['spool', 'ratings', 0, 'length']
};

/**
 * What lies above the backing, with the bulk it was seen to have on the bare arbor: the depth says how much
 * space it takes, and its spread is that of the reading and of laying it again.
 */
function halfFitted(
	stack: Stack,
	from: number,
	spool: Spool,
	depthMm: number,
	spreads: Spreads
): Result<Stack> {
	const surface = surfaceAtDepth(spool, depthMm);
	if (!surface.ok) return { ok: false, issues: under(surface.issues, 'fill', 'halfFit') };
	const seenMm3 = volumeToRadius(spool, surface.value);
	const factor = seenMm3 / stack.slice(from).reduce((sum, c) => sum + spaceMm3(c), 0);
	const perMm = 2 * Math.PI * surface.value * widthAtRadius(spool, surface.value);
	const bulkShare = (perMm * spreads.depthMm) / seenMm3;
	return ok(
		stack.map((c, i) =>
			i < from || !isKnown(c)
				? c
				: { ...c, sections: scaleBulk(c.sections, factor), spreads: { bulkShare, layShare: RELAY_SHARE } }
		)
	);
}

const REVERSE_FIELD: Record<string, Path> = {
	lineDepthMm: ['fill', 'halfFit'],
	turns: ['fill', 'reverseTurns'],
	gapMm: ['fill', 'gap']
};

/** The backing as it lay over the line: its turns say what thickness and tightness come to together. */
function reverseFilled(stack: Stack, at: number, spool: Spool, reading: ReverseFillReading): Result<Stack> {
	const backing = stack[at]!;
	if (isKnown(backing)) return ok(stack);
	const told = reverseFill(spool, reading, backing.diameterMm);
	if (!told.ok)
		return {
			ok: false,
			issues: told.issues.map((issue) => ({
				...issue,
				path: REVERSE_FIELD[String(issue.path[0])] ?? ['fill', 'reverseTurns']
			}))
		};
	const spreads = { diameterShare: 0, layShare: HAND_REPEAT_SHARE };
	return ok(stack.with(at, { ...backing, layEfficiency: told.value.layEfficiency, spreads }));
}

const knownStack = (stack: Stack, fit: Fit): KnownComponent[] =>
	stack.map((c, i) => (isKnown(c) ? c : { ...c, sections: [level(fit.layers[i]!.lengthMm, c.diameterMm)] }));

function swapsOf(
	fill: FillForm,
	spool: Spool,
	stack: readonly KnownComponent[],
	units: UnitSystem,
	reader: Reader
): Swapped[] {
	return fill.swaps.flatMap((swap, i) => {
		const index = fill.stack.findIndex(({ id }) => id === swap.of);
		if (index < 0) return [];
		const part = readSwap(swap, fill.stack[index]!.role, fill, units, reader, ['fill', 'swaps', i]);
		if (!isKnown(part.component) || reader.issues.length > 0) return [];
		const fit = solveFit(spool, stack.with(index, part.component), 0);
		return fit.ok ? [{ id: swap.id, part, index, gapMm: fit.value.gapMm, fits: fit.value.fits }] : [];
	});
}

/** A form as it was read: quantities, no longer text. */
interface Read {
	readonly source: SpoolSource;
	readonly parts: readonly Part[];
	readonly gapMm: number;
	readonly leaderMm: number;
	readonly spreads: Spreads;
	readonly halfFitMm: number | undefined;
	readonly reverseTurns: number | undefined;
	/** Place of the component that is looked for; −1 when none. */
	readonly open: number;
}

function readForm({ spool, fill }: SetupForm, units: UnitSystem, reader: Reader): Read {
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
		fill.reverseTurns.trim() === '' ? ok(undefined) : readTurns(fill.reverseTurns, REVERSE_FIELD['turns']!);
	const reverseTurns = reader.take<number | undefined>(turns, undefined);
	return {
		source,
		parts,
		gapMm,
		leaderMm,
		spreads,
		halfFitMm,
		reverseTurns,
		open: reader.take(checkOpen(fill), -1)
	};
}

/** The stack as it is typed, or as it was seen to lie when half-fit or reverse fill were done. */
function stackOf(read: Read, stopIndex: number, spool: Spool): Result<{ stack: Stack; seen: boolean }> {
	const { parts, halfFitMm, reverseTurns, gapMm, open, spreads } = read;
	const typed: Stack = parts.map(({ component }) => component);
	if (halfFitMm === undefined || stopIndex < 0 || stopIndex + 1 >= typed.length)
		return ok({ stack: typed, seen: false });
	const half = halfFitted(typed, stopIndex + 1, spool, halfFitMm, spreads);
	if (!half.ok) return half;
	if (reverseTurns === undefined || open < 0) return ok({ stack: half.value, seen: true });
	const reading = { lineDepthMm: halfFitMm, turns: reverseTurns, gapMm };
	const reversed = reverseFilled(half.value, open, spool, reading);
	return reversed.ok ? ok({ stack: reversed.value, seen: true }) : reversed;
}

/**
 * Works a set-up out: what was typed, through the core, to the answers and the judgement.
 * Issues carry the path of the field in the form.
 */
export function workOut(form: SetupForm, units: UnitSystem): Result<Workout> {
	const reader = new Reader();
	const read = readForm(form, units, reader);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };
	const { source, parts, gapMm, spreads, leaderMm, open } = read;

	const known = spoolOf(source);
	if (!known.ok) return { ok: false, issues: atField(known.issues, FIRST_FIELD[source.kind]) };
	const { spool } = known.value;
	const stopIndex = open >= 0 ? open : parts.findLastIndex(({ role }) => role === 'backing');
	const lying = stackOf(read, stopIndex, spool);
	if (!lying.ok) return lying;

	const problem: Problem = { source, gapMm, stack: lying.value.stack };
	const fit = solveFit(spool, problem.stack, gapMm);
	if (!fit.ok) return { ok: false, issues: atField(fit.issues, ['fill', 'gap']) };
	const estimate = firstOrder(problem, fit.value, spreads);
	const line = parts.findLast((part) => part.line && part.role !== 'tip')?.line ?? ORDINARY;
	const stack = knownStack(problem.stack, fit.value);
	const swaps = swapsOf(form.fill, spool, stack, units, reader);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };
	const material = parts[stopIndex]?.material;
	return ok({
		problem,
		known: known.value,
		fit: fit.value,
		estimate,
		spreads,
		verdict: judge(problem, fit.value, estimate, line),
		parts,
		stack,
		stopIndex,
		line,
		...(material && { material }),
		swaps,
		leaderMm,
		halfFitted: lying.value.seen
	});
}
