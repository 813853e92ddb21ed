import {
	fail,
	findMaterial,
	firstOrder,
	formatLineClass,
	judge,
	LEAST_BACKING_MM,
	LINE_LAY_EFFICIENCY,
	ok,
	parseLength,
	ratedSource,
	shortestLengthMm,
	DEFAULT_SPREADS,
	DENSITIES,
	solveFit,
	spoolOf,
	standardLengthMm,
	TAPERS,
	taperOf,
	toMm,
	under,
	WINDING_HANDS,
	type BackingMaterial,
	type FirstOrder,
	type Fit,
	type Issue,
	type JobSetup,
	type KnownSpool,
	type LengthUnit,
	type LineClass,
	type LineSection,
	type Path,
	type Problem,
	type Rating,
	type Result,
	type Spreads,
	type SpoolSource,
	type Verdict
} from '$lib/core';
import type { FillForm, RatingForm, SetupForm, SpoolForm } from './setup';
import { leaderUnit, longUnit, smallUnit, type UnitSystem } from './units';

/** Everything a set-up amounts to. */
export interface Workout {
	readonly problem: Problem;
	readonly known: KnownSpool;
	readonly fit: Fit;
	readonly estimate: FirstOrder;
	readonly verdict: Verdict;
	readonly line: LineClass;
	readonly lineSections: readonly LineSection[];
	readonly material: BackingMaterial;
	readonly backingDiameterMm: number;
	readonly leaderMm: number;
}

interface Bounds {
	readonly min: number;
	readonly max: number;
	readonly unit: LengthUnit;
}

/** What a field may sensibly hold: wide enough for any reel, narrow enough to catch a slipped unit. */
const BOUNDS = {
	spool: { min: 5, max: 400, unit: 'mm' },
	strand: { min: 0.05, max: 5, unit: 'mm' },
	backing: { min: 1, max: 2000, unit: 'm' },
	line: { min: 1, max: 200, unit: 'm' },
	leader: { min: 0.1, max: 20, unit: 'm' },
	gap: { min: 0, max: 100, unit: 'mm' }
} as const satisfies Record<string, Bounds>;

/** Reads a field that must be filled in. A bare number takes the unit shown beside the field. */
function readField(text: string, unit: LengthUnit, bounds: Bounds, path: Path): Result<number> {
	const read = parseLength(text, unit);
	if (!read.ok) return { ok: false, issues: under(read.issues, ...path) };
	const [minMm, maxMm] = [toMm(bounds.min, bounds.unit), toMm(bounds.max, bounds.unit)];
	const detail = { min: bounds.min, max: bounds.max, unit: bounds.unit };
	return read.value >= minMm && read.value <= maxMm
		? read
		: fail({ code: 'out_of_range', value: read.value, ...detail }, path);
}

/** Reads a field that may stay empty. */
const readOptional = (
	text: string,
	unit: LengthUnit,
	bounds: Bounds,
	path: Path
): Result<number | undefined> => (text.trim() === '' ? ok(undefined) : readField(text, unit, bounds, path));

/** Collects every issue while reading, and stands in a harmless number where there was one. */
class Reader {
	readonly issues: Issue[] = [];
	take<T>(result: Result<T>, standIn: T): T {
		if (result.ok) return result.value;
		this.issues.push(...result.issues);
		return standIn;
	}
}

function readRating(rating: RatingForm, index: number, units: UnitSystem, reader: Reader): Rating {
	const path = ['spool', 'ratings', index, 'length'];
	const material = findMaterial(rating.material);
	return {
		line: taperOf(rating.line),
		backingDiameterMm: material.ok ? material.value.diameterMm : 0.5,
		backingLengthMm: reader.take(readField(rating.length, longUnit(units), BOUNDS.backing, path), 100)
	};
}

function readSource(spool: SpoolForm, units: UnitSystem, reader: Reader): SpoolSource {
	const unit = smallUnit(units);
	const optional = (key: 'rim' | 'width' | 'frame'): number | undefined =>
		reader.take(readOptional(spool[key], unit, BOUNDS.spool, ['spool', key]), undefined);
	const needed = (key: 'rim' | 'arbor' | 'width'): number =>
		reader.take(readField(spool[key], unit, BOUNDS.spool, ['spool', key]), 10);

	const frameDiameterMm = optional('frame');
	if (spool.way === 'measured')
		return {
			kind: 'measured',
			rimDiameterMm: needed('rim'),
			arborDiameterMm: needed('arbor'),
			widthMm: needed('width'),
			frameDiameterMm
		};
	return ratedSource({
		ratings: spool.ratings.map((rating, i) => readRating(rating, i, units, reader)),
		makersAllowance: spool.allowance,
		rimDiameterMm: optional('rim'),
		widthMm: optional('width'),
		frameDiameterMm
	});
}

function readLine(fill: FillForm, units: UnitSystem, reader: Reader): LineSection[] {
	const line = fill.line.class;
	const path = ['fill', 'line', 'length'];
	const typed = reader.take(readOptional(fill.line.length, longUnit(units), BOUNDS.line, path), undefined);
	const lengthMm = typed ?? standardLengthMm(line.number);
	const leastMm = shortestLengthMm(line);
	if (lengthMm < leastMm)
		reader.take(fail({ code: 'shorter_than_head', lengthMm, leastMm }, path), undefined);
	return taperOf(line, lengthMm);
}

/** Issues of the core point into its own shapes; these are the fields they belong to. */
const FIELD_OF: Record<string, Path> = {
	arborDiameterMm: ['spool', 'arbor'],
	rimDiameterMm: ['spool', 'rim'],
	frameDiameterMm: ['spool', 'frame'],
	gapMm: ['fill', 'gap']
};
const atField = (issues: readonly Issue[], otherwise: Path): Issue[] =>
	issues.map((issue) => ({ ...issue, path: FIELD_OF[String(issue.path[0])] ?? otherwise }));

/**
 * Works a set-up out: what was typed, through the core, to the answers and the judgement.
 * Issues carry the path of the field in the form.
 */
export function workOut(form: SetupForm, units: UnitSystem): Result<Workout> {
	const { spool, fill } = form;
	const reader = new Reader();
	const source = readSource(spool, units, reader);
	const lineSections = readLine(fill, units, reader);
	const small = smallUnit(units);
	const gapMm = reader.take(readField(fill.gap, small, BOUNDS.gap, ['fill', 'gap']), 0);
	const leaderMm = reader.take(
		readField(fill.leader, leaderUnit(units), BOUNDS.leader, ['fill', 'leader']),
		0
	);
	const material = findMaterial(fill.backing.material);
	if (!material.ok) return material;
	const diameterPath = ['fill', 'backing', 'diameter'];
	const typedDiameter = reader.take(
		readOptional(fill.backing.diameter, small, BOUNDS.strand, diameterPath),
		undefined
	);
	if (reader.issues.length > 0) return { ok: false, issues: reader.issues };

	const backingDiameterMm = typedDiameter ?? material.value.diameterMm;
	const problem: Problem = {
		source,
		gapMm,
		stack: [
			{
				role: 'backing',
				layEfficiency: WINDING_HANDS[fill.winding].layEfficiency,
				diameterMm: backingDiameterMm
			},
			{ role: 'line', layEfficiency: LINE_LAY_EFFICIENCY, sections: lineSections }
		]
	};
	const spreads: Spreads =
		typedDiameter === undefined
			? { ...DEFAULT_SPREADS, diameterShare: material.value.diameterSpread }
			: DEFAULT_SPREADS;
	const solved = solve(problem, fill.line.class, spreads);
	const about = {
		line: fill.line.class,
		lineSections,
		material: material.value,
		backingDiameterMm,
		leaderMm
	};
	return solved.ok ? ok({ problem, ...solved.value, ...about }) : solved;
}

function solve(
	problem: Problem,
	line: LineClass,
	spreads: Spreads
): Result<Pick<Workout, 'known' | 'fit' | 'estimate' | 'verdict'>> {
	const spoolPath = problem.source.kind === 'rated' ? ['spool', 'ratings', 0, 'length'] : ['spool', 'rim'];
	const known = spoolOf(problem.source);
	if (!known.ok) return { ok: false, issues: atField(known.issues, spoolPath) };
	const fit = solveFit(known.value.spool, problem.stack, problem.gapMm);
	if (!fit.ok) return { ok: false, issues: atField(fit.issues, ['fill', 'gap']) };
	const estimate = firstOrder(problem, fit.value, spreads);
	const verdict = judge(problem, fit.value, estimate, line);
	return ok({ known: known.value, fit: fit.value, estimate, verdict });
}

export const lineLabel = (line: LineClass): string => {
	const taper = TAPERS[line.taper];
	return `${taper[0]!.toUpperCase()}${taper.slice(1)} ${line.number}, ${DENSITIES[line.density].label}`;
};

export const lineCode = formatLineClass;

/** The set-up as the procedure wants it. */
export function jobOf(form: SetupForm, workout: Workout): JobSetup {
	const { spool, fill } = form;
	const [backing, line] = workout.fit.layers;
	const bare = (backing?.lengthMm ?? 0) < LEAST_BACKING_MM;
	return {
		hand: spool.hand,
		cage: spool.cage,
		arborTurns: fill.arborTurns,
		joint: fill.joint,
		backing: workout.material,
		lineLabel: lineLabel(workout.line),
		sinking: workout.line.density === 'S',
		leaderMm: workout.leaderMm,
		plan: {
			lengthMm: bare ? 0 : backing!.lengthMm,
			stopDepthMm: backing?.depthMm ?? 0,
			turns: backing?.turns ?? 0,
			gapMm: workout.fit.gapMm,
			lineTurns: line?.turns ?? 0
		}
	};
}
