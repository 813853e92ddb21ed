import {
	toGrams,
	all,
	DEFAULT_MAKERS_ALLOWANCE,
	densityOf,
	diameterByCalipers,
	diameterByMass,
	diameterByWraps,
	fail,
	findMaterial,
	isKnown,
	knownFillSource,
	ok,
	MAX_LAY_EFFICIENCY,
	parseLineClass,
	ratedSource,
	spoolOf,
	within,
	type KnownComponent,
	type Rating,
	type Result,
	type Spool,
	type SpoolSource,
	type Spreads,
	type StrandDiameter,
	type UnknownComponent
} from '$lib/core';
import { ratingWith, type RatedWith } from '$lib/setup/ratings';
import { BOUNDS, outOf } from '$lib/setup/bounds';
import {
	componentOf,
	type SetupDescription,
	type StrandDescription,
	type StrandMade
} from '$lib/setup/description';
import { evaluate, type Evaluation } from '$lib/setup/evaluate';
import type { z } from 'zod';
import type { ComponentInput, FitRequest, RatingInput, SpoolInput } from './fit';
import type { InMm } from './wire';

/** What was sent, read: from the shapes of the API to the description that a form becomes as well. */

/** The gap kept when none is asked for: "a little space". Common practice: 4–5 mm. */
export const DEFAULT_GAP_MM = 4;

type Sent<S extends z.ZodType> = InMm<z.output<S>>;
type SentStrand = Sent<typeof ComponentInput>;
type SentSpool = Sent<typeof SpoolInput>;

const given = (input: object, fields: readonly string[]): string[] =>
	fields.filter((field) => (input as Record<string, unknown>)[field] !== undefined);

const MAKES_A_STRAND = ['diameterMm', 'material', 'wraps', 'weighed', 'sections', 'lineClass'] as const;

/** A diameter that was measured, in whichever way; within the bounds of a strand. */
function diameterOf({ diameterMm, wraps, weighed, densityGPerCm3 }: SentStrand): Result<StrandDiameter> {
	const bounded = (diameter: StrandDiameter, field: string): Result<StrandDiameter> =>
		outOf(BOUNDS.strand, diameter.diameterMm, [field]) ?? ok(diameter);
	if (wraps) return bounded(diameterByWraps(wraps.count, wraps.widthMm), 'wraps');
	if (weighed) {
		const { massG, lengthMm } = weighed;
		return densityGPerCm3 === undefined
			? fail({ code: 'needs_one_of', fields: ['densityGPerCm3'] }, ['densityGPerCm3'])
			: bounded(diameterByMass(massG, lengthMm, densityOf(densityGPerCm3)), 'weighed');
	}
	return bounded(diameterByCalipers(diameterMm!), 'diameterMm');
}

function madeOf(input: SentStrand): Result<StrandMade> {
	const { lineClass, material, sections, massG, densityGPerCm3: gPerCm3 } = input;
	if (sections) return ok({ by: 'table', sections });
	if (lineClass !== undefined) {
		const line = within(parseLineClass(lineClass), 'lineClass');
		return line.ok
			? ok({
					by: 'class',
					line: line.value,
					...(massG !== undefined && { massG }),
					...(gPerCm3 !== undefined && { gPerCm3 })
				})
			: line;
	}
	if (material !== undefined) {
		const found = within(findMaterial(material), 'material');
		return found.ok ? ok({ by: 'material', material: found.value }) : found;
	}
	const diameter = diameterOf(input);
	return diameter.ok ? ok({ by: 'diameter', diameter: diameter.value }) : diameter;
}

/** One strand as it was sent. Issues carry paths into it. */
export function describeStrand(input: SentStrand): Result<StrandDescription> {
	const made = given(input, MAKES_A_STRAND);
	if (made.length === 0) return fail({ code: 'needs_one_of', fields: MAKES_A_STRAND });
	if (made.length > 1) return fail({ code: 'conflicting_fields', fields: made }, [made[1]!]);
	const { role, lengthMm, layEfficiency, layShare: share } = input;
	if (input.sections && lengthMm !== undefined)
		return fail({ code: 'conflicting_fields', fields: ['lengthM', 'sections'] }, ['lengthMm']);
	if (share !== undefined && layEfficiency === undefined)
		return fail({ code: 'needs_one_of', fields: ['layEfficiency'] }, ['layEfficiency']);
	if (layEfficiency !== undefined && layEfficiency > MAX_LAY_EFFICIENCY)
		return fail({ code: 'packing_above_hexagonal', layEfficiency, limit: MAX_LAY_EFFICIENCY }, [
			'layEfficiency'
		]);
	const read = madeOf(input);
	return read.ok
		? ok({
				role,
				made: read.value,
				...(lengthMm !== undefined && { lengthMm }),
				...(layEfficiency !== undefined && {
					lay: { layEfficiency, ...(share !== undefined && { share }) }
				})
			})
		: read;
}

/** A strand that has its length: a line. */
export function lineOf(input: SentStrand): Result<KnownComponent> {
	const described = describeStrand(input);
	if (!described.ok) return described;
	const component = componentOf(described.value);
	if (!component.ok) return component;
	return isKnown(component.value)
		? ok(component.value)
		: fail({ code: 'needs_one_of', fields: ['lineClass', 'sections', 'lengthM'] });
}

/** A backing of no given length. */
export function backingOf(input: Omit<SentStrand, 'role'>): Result<UnknownComponent> {
	const described = describeStrand({ ...input, role: 'backing' });
	const component = described.ok ? componentOf(described.value) : described;
	if (!component.ok) return within(component, 'backing');
	return isKnown(component.value)
		? fail({ code: 'conflicting_fields', fields: ['lengthM', 'a length that is looked for'] }, [
				'backing',
				'lengthMm'
			])
		: ok(component.value);
}

/** What a box counts with: one of three. */
function ratedWith({ lineClass, head, nylonMm }: Sent<typeof RatingInput>): Result<RatedWith> {
	const fields = [
		...(lineClass === undefined ? [] : ['lineClass']),
		...(head ? ['head'] : []),
		...(nylonMm === undefined ? [] : ['nylonMm'])
	];
	if (fields.length > 1) return fail({ code: 'conflicting_fields', fields }, [fields[1]!]);
	if (nylonMm !== undefined) return ok({ of: 'nylon', diameterMm: nylonMm });
	if (head)
		return ok({
			of: 'head',
			massG: toGrams(head.grains, 'gr'),
			lengthMm: head.lengthMm,
			density: head.density ?? 'F'
		});
	if (lineClass === undefined)
		return fail({ code: 'needs_one_of', fields: ['lineClass', 'head', 'nylonMm'] });
	const parsed = within(parseLineClass(lineClass), 'lineClass');
	return parsed.ok ? ok({ of: 'line', line: parsed.value }) : parsed;
}

function ratingOf(input: Sent<typeof RatingInput>): Result<Rating> {
	const made = ratedWith(input);
	// Plain nylon fills the spool alone: there is no backing to name.
	const backing = within(
		findMaterial(input.backing ?? (input.nylonMm === undefined ? '' : 'polyester-20')),
		'backing'
	);
	return made.ok && backing.ok
		? ok(ratingWith(made.value, backing.value, input.lengthMm))
		: { ok: false, issues: [made, backing].flatMap((read) => (read.ok ? [] : read.issues)) };
}

function filledSpool(fill: NonNullable<SentSpool['fill']>, measured: SentSpool): Result<SpoolSource> {
	const { gapMm, sections, lineClass, ...rest } = fill;
	const made = given(fill, ['lineClass', 'sections']);
	if (made.length === 0) return fail({ code: 'needs_one_of', fields: ['lineClass', 'sections'] }, ['fill']);
	if (made.length > 1) return fail({ code: 'conflicting_fields', fields: made }, ['fill', made[1]!]);
	// A fill with its own sections is a line of no class: any stands in for it.
	const rated = within(ratingOf({ ...rest, lineClass: lineClass ?? 'WF5F' }), 'fill');
	if (!rated.ok) return rated;
	const filled: Rating = sections ? { ...rated.value, line: sections } : rated.value;
	const { rimDiameterMm, widthMm, frameDiameterMm } = measured;
	return ok(knownFillSource({ fill: filled, gapMm, rimDiameterMm, widthMm, frameDiameterMm }));
}

function profiledSpool(
	profile: NonNullable<SentSpool['profile']>,
	{ rimDiameterMm, widthMm, frameDiameterMm }: SentSpool
): Result<SpoolSource> {
	const rim = profile.at(-1)?.diameterMm;
	if (widthMm !== undefined)
		return fail({ code: 'conflicting_fields', fields: ['profile', 'widthMm'] }, ['widthMm']);
	if (rimDiameterMm !== undefined && rim !== rimDiameterMm)
		return fail({ code: 'conflicting_fields', fields: ['profile', 'rimDiameterMm'] }, ['rimDiameterMm']);
	const points = profile.map((point) => ({ radiusMm: point.diameterMm / 2, widthMm: point.widthMm }));
	return ok({ kind: 'profile', profile: points, frameDiameterMm });
}

/** A spool as it was sent: one of the four ways to know it, and what each needs. */
export function describeSpool(input: SentSpool): Result<SpoolSource> {
	const { rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm, profile, ratings, fill } = input;
	const ways = given(input, ['profile', 'ratings', 'fill', 'arborDiameterMm']);
	if (ways.length > 1) return fail({ code: 'conflicting_fields', fields: ways }, [ways[1]!]);
	if (profile) return profiledSpool(profile, input);
	if (ratings) {
		const read = all(
			ratings.map((rating) => ratingOf(rating)),
			(i) => ['ratings', i]
		);
		const makersAllowance = input.makersAllowance ?? DEFAULT_MAKERS_ALLOWANCE;
		return read.ok
			? ok(ratedSource({ ratings: read.value, makersAllowance, rimDiameterMm, widthMm, frameDiameterMm }))
			: read;
	}
	if (fill) return filledSpool(fill, input);
	if (rimDiameterMm === undefined || arborDiameterMm === undefined || widthMm === undefined)
		return fail({
			code: 'needs_one_of',
			fields: ['rimDiameterMm with arborDiameterMm and widthMm', 'profile', 'ratings', 'fill']
		});
	return ok({ kind: 'measured', rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm });
}

export function spoolFrom(input: SentSpool): Result<Spool> {
	const source = describeSpool(input);
	const built = source.ok ? spoolOf(source.value) : source;
	return built.ok ? ok(built.value.spool) : built;
}

/** A set-up as it was sent. */
export function describeFit(request: Sent<typeof FitRequest>): Result<SetupDescription> {
	const spool = within(describeSpool(request.spool), 'spool');
	const stack = all(request.stack.map(describeStrand), (i) => ['stack', i]);
	if (!spool.ok || !stack.ok)
		return {
			ok: false,
			issues: [spool, stack].flatMap((read) => (read.ok ? [] : read.issues))
		};
	return ok({
		spool: spool.value,
		stack: stack.value,
		gapMm: request.gapMm ?? DEFAULT_GAP_MM,
		spreads: (request.spreads ?? {}) as Partial<Spreads>
	});
}

/** A set-up as it was sent, worked out. */
export function evaluateFit(request: Sent<typeof FitRequest>): Result<Evaluation> {
	const described = describeFit(request);
	return described.ok ? evaluate(described.value) : described;
}
