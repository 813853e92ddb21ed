import {
	BACKING_LAY_EFFICIENCY,
	DEFAULT_MAKERS_ALLOWANCE,
	DENSITIES,
	diameterOfMass,
	fail,
	findMaterial,
	isKnown,
	knownFillSource,
	level,
	LINE_LAY_EFFICIENCY,
	ok,
	parseLineClass,
	ratedSource,
	scaleToMass,
	shortestLengthMm,
	taperOf,
	under,
	type Component,
	type Issue,
	type KnownComponent,
	type LineSection,
	type Path,
	type Problem,
	type Rating,
	type Result,
	type SpoolSource
} from '$lib/core';
import type { z } from 'zod';
import type { ComponentInput, FitRequest, RatingInput, SectionInput, SpoolInput } from './fit';

/** The gap kept when none is asked for: "a little space". Common practice: 4–5 mm. */
export const DEFAULT_GAP_MM = 4;

const given = (input: object, fields: readonly string[]): string[] =>
	fields.filter((field) => (input as Record<string, unknown>)[field] !== undefined);

/** All of it, or all the issues there are. */
function all<T>(results: readonly Result<T>[], at: (index: number) => Path): Result<T[]> {
	const issues = results.flatMap((result, i) => (result.ok ? [] : under(result.issues, ...at(i))));
	return issues.length > 0
		? { ok: false, issues }
		: ok(results.flatMap((result) => (result.ok ? [result.value] : [])));
}

function readLine(lineClass: string, lengthMm?: number): Result<LineSection[]> {
	const parsed = parseLineClass(lineClass);
	if (!parsed.ok) return { ok: false, issues: under(parsed.issues, 'lineClass') };
	const leastMm = shortestLengthMm(parsed.value);
	if (lengthMm !== undefined && lengthMm < leastMm)
		return fail({ code: 'shorter_than_head', lengthMm, leastMm }, ['lengthM']);
	return ok(taperOf(parsed.value, lengthMm));
}

function readDiameter(input: z.infer<typeof ComponentInput>): Result<number> {
	if (input.diameterMm !== undefined) return ok(input.diameterMm);
	if (input.wraps) return ok(input.wraps.widthMm / input.wraps.count);
	if (input.weighed) {
		if (input.densityGPerCm3 === undefined)
			return fail({ code: 'needs_one_of', fields: ['densityGPerCm3'] }, ['densityGPerCm3']);
		const { massG, lengthM } = input.weighed;
		return ok(diameterOfMass(massG, lengthM * 1000, input.densityGPerCm3));
	}
	const material = findMaterial(input.material ?? '');
	return material.ok
		? ok(material.value.diameterMm)
		: { ok: false, issues: under(material.issues, 'material') };
}

const MAKES_A_STRAND = ['diameterMm', 'material', 'wraps', 'weighed', 'sections', 'lineClass'] as const;

/** Sections of a class with the bulk of the mass that was put to them, if any. */
function weighed(sections: LineSection[], input: z.infer<typeof ComponentInput>): LineSection[] {
	if (input.massG === undefined) return sections;
	const parsed = parseLineClass(input.lineClass ?? '');
	const usual = parsed.ok ? DENSITIES[parsed.value.density].gPerCm3 : 1;
	return scaleToMass(sections, input.massG, input.densityGPerCm3 ?? usual);
}

const inMm = (sections: readonly z.infer<typeof SectionInput>[]): LineSection[] =>
	sections.map(({ lengthM, ...diameters }) => ({ lengthMm: lengthM * 1000, ...diameters }));

/** One component. Issues carry paths into it. */
export function readStrand(input: z.infer<typeof ComponentInput>): Result<Component> {
	const made = given(input, MAKES_A_STRAND);
	if (made.length === 0) return fail({ code: 'needs_one_of', fields: MAKES_A_STRAND });
	if (made.length > 1) return fail({ code: 'conflicting_fields', fields: made }, [made[1]!]);
	if (input.sections && input.lengthM !== undefined)
		return fail({ code: 'conflicting_fields', fields: ['lengthM', 'sections'] }, ['lengthM']);

	const { role } = input;
	const braid = role === 'backing' || role === 'bed';
	const layEfficiency = input.layEfficiency ?? (braid ? BACKING_LAY_EFFICIENCY : LINE_LAY_EFFICIENCY);
	const lengthMm = input.lengthM === undefined ? undefined : input.lengthM * 1000;
	if (input.sections) return ok({ role, layEfficiency, sections: inMm(input.sections) });
	if (input.lineClass !== undefined) {
		const sections = readLine(input.lineClass, lengthMm);
		if (!sections.ok) return sections;
		return ok({ role, layEfficiency, sections: weighed(sections.value, input) });
	}
	const diameter = readDiameter(input);
	if (!diameter.ok) return diameter;
	const diameterMm = diameter.value;
	return ok(
		lengthMm === undefined
			? { role, layEfficiency, diameterMm }
			: { role, layEfficiency, sections: [level(lengthMm, diameterMm)] }
	);
}

/** A component that has its length: a line. */
export function readLineInput(input: z.infer<typeof ComponentInput>): Result<KnownComponent> {
	const read = readStrand(input);
	if (!read.ok) return read;
	return isKnown(read.value)
		? ok(read.value)
		: fail({ code: 'needs_one_of', fields: ['lineClass', 'sections', 'lengthM'] });
}

function readRating(
	input: z.infer<typeof RatingInput>,
	sections?: readonly z.infer<typeof SectionInput>[]
): Result<Rating> {
	const line = sections ? ok(inMm(sections)) : readLine(input.lineClass);
	const backing = findMaterial(input.backing);
	const issues: Issue[] = [
		...(line.ok ? [] : line.issues),
		...(backing.ok ? [] : under(backing.issues, 'backing'))
	];
	return line.ok && backing.ok
		? ok({
				line: line.value,
				backingDiameterMm: backing.value.diameterMm,
				backingLengthMm: input.lengthM * 1000
			})
		: { ok: false, issues };
}

type SpoolShape = z.infer<typeof SpoolInput>;

function readFill(
	fill: NonNullable<SpoolShape['fill']>,
	measured: Pick<SpoolShape, 'rimDiameterMm' | 'widthMm' | 'frameDiameterMm'>
): Result<SpoolSource> {
	const { gapMm, sections, lineClass, ...rest } = fill;
	const made = given(fill, ['lineClass', 'sections']);
	if (made.length === 0) return fail({ code: 'needs_one_of', fields: ['lineClass', 'sections'] }, ['fill']);
	if (made.length > 1) return fail({ code: 'conflicting_fields', fields: made }, ['fill', made[1]!]);
	const read = readRating({ ...rest, lineClass: lineClass ?? '' }, sections);
	if (!read.ok) return { ok: false, issues: under(read.issues, 'fill') };
	const { rimDiameterMm, widthMm, frameDiameterMm } = measured;
	return ok(knownFillSource({ fill: read.value, gapMm, rimDiameterMm, widthMm, frameDiameterMm }));
}

function readProfile(
	{ rimDiameterMm, widthMm, frameDiameterMm }: SpoolShape,
	profile: NonNullable<SpoolShape['profile']>
): Result<SpoolSource> {
	const rim = profile.at(-1)?.diameterMm;
	if (widthMm !== undefined)
		return fail({ code: 'conflicting_fields', fields: ['profile', 'widthMm'] }, ['widthMm']);
	if (rimDiameterMm !== undefined && rim !== rimDiameterMm)
		return fail({ code: 'conflicting_fields', fields: ['profile', 'rimDiameterMm'] }, ['rimDiameterMm']);
	const points = profile.map((point) => ({ radiusMm: point.diameterMm / 2, widthMm: point.widthMm }));
	return ok({ kind: 'profile', profile: points, frameDiameterMm });
}

/** Ways to describe a spool, and what each needs. */
export function readSpool(input: z.infer<typeof SpoolInput>): Result<SpoolSource> {
	const { rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm, profile, ratings, fill } = input;
	const ways = given(input, ['profile', 'ratings', 'fill', 'arborDiameterMm']);
	if (ways.length > 1) return fail({ code: 'conflicting_fields', fields: ways }, [ways[1]!]);
	if (profile) return readProfile(input, profile);
	if (ratings) {
		const read = all(
			ratings.map((rating) => readRating(rating)),
			(i) => ['ratings', i]
		);
		const makersAllowance = input.makersAllowance ?? DEFAULT_MAKERS_ALLOWANCE;
		return read.ok
			? ok(ratedSource({ ratings: read.value, makersAllowance, rimDiameterMm, widthMm, frameDiameterMm }))
			: read;
	}
	if (fill) return readFill(fill, { rimDiameterMm, widthMm, frameDiameterMm });
	if (rimDiameterMm === undefined || arborDiameterMm === undefined || widthMm === undefined)
		return fail({
			code: 'needs_one_of',
			fields: ['rimDiameterMm with arborDiameterMm and widthMm', 'profile', 'ratings', 'fill']
		});
	return ok({ kind: 'measured', rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm });
}

/** A request of the API as the core's problem. */
export function readFitRequest(request: FitRequest): Result<Problem> {
	const source = readSpool(request.spool);
	const stack = all(request.stack.map(readStrand), (i) => ['stack', i]);
	if (source.ok && stack.ok)
		return ok({ source: source.value, stack: stack.value, gapMm: request.gapMm ?? DEFAULT_GAP_MM });
	return {
		ok: false,
		issues: [...(source.ok ? [] : under(source.issues, 'spool')), ...(stack.ok ? [] : stack.issues)]
	};
}
