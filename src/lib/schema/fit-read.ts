import {
	BACKING_LAY_EFFICIENCY,
	DEFAULT_MAKERS_ALLOWANCE,
	fail,
	findMaterial,
	isKnown,
	level,
	LINE_LAY_EFFICIENCY,
	ok,
	parseLineClass,
	ratedSource,
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
import type { ComponentInput, FitRequest, RatingInput, SpoolInput } from './fit-api';

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

function readDiameter(input: {
	material?: string | undefined;
	diameterMm?: number | undefined;
}): Result<number> {
	if (input.diameterMm !== undefined) return ok(input.diameterMm);
	const material = findMaterial(input.material ?? '');
	return material.ok
		? ok(material.value.diameterMm)
		: { ok: false, issues: under(material.issues, 'material') };
}

const MAKES_A_STRAND = ['diameterMm', 'material', 'sections', 'lineClass'] as const;

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
	if (input.sections) {
		const sections = input.sections.map(({ lengthM, ...diameters }) => ({
			lengthMm: lengthM * 1000,
			...diameters
		}));
		return ok({ role, layEfficiency, sections });
	}
	if (input.lineClass !== undefined) {
		const sections = readLine(input.lineClass, lengthMm);
		return sections.ok ? ok({ role, layEfficiency, sections: sections.value }) : sections;
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

function readRating(input: z.infer<typeof RatingInput>): Result<Rating> {
	const line = readLine(input.lineClass);
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

/** Ways to describe a spool, and what each needs. */
export function readSpool(input: z.infer<typeof SpoolInput>): Result<SpoolSource> {
	const { rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm, profile, ratings } = input;
	const ways = given(input, ['profile', 'ratings', 'arborDiameterMm']);
	if (ways.length > 1) return fail({ code: 'conflicting_fields', fields: ways }, [ways[1]!]);
	if (profile) {
		const rim = profile.at(-1)?.diameterMm;
		if (widthMm !== undefined)
			return fail({ code: 'conflicting_fields', fields: ['profile', 'widthMm'] }, ['widthMm']);
		if (rimDiameterMm !== undefined && rim !== rimDiameterMm)
			return fail({ code: 'conflicting_fields', fields: ['profile', 'rimDiameterMm'] }, ['rimDiameterMm']);
		const points = profile.map((point) => ({ radiusMm: point.diameterMm / 2, widthMm: point.widthMm }));
		return ok({ kind: 'profile', profile: points, frameDiameterMm });
	}
	if (ratings) {
		const read = all(ratings.map(readRating), (i) => ['ratings', i]);
		const makersAllowance = input.makersAllowance ?? DEFAULT_MAKERS_ALLOWANCE;
		return read.ok
			? ok(ratedSource({ ratings: read.value, makersAllowance, rimDiameterMm, widthMm, frameDiameterMm }))
			: read;
	}
	if (rimDiameterMm === undefined || arborDiameterMm === undefined || widthMm === undefined)
		return fail({
			code: 'needs_one_of',
			fields: ['rimDiameterMm with arborDiameterMm and widthMm', 'profile', 'ratings']
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
