import {
	BACKING_LAY_EFFICIENCY,
	DENSITIES,
	fail,
	level,
	LINE_LAY_EFFICIENCY,
	ok,
	READING_SPREADS,
	scaleToMass,
	shortestLengthMm,
	taperOf,
	type BackingMaterial,
	type Component,
	type ComponentSpreads,
	type LineClass,
	type LineSection,
	type Result,
	type Role,
	type SpoolSource,
	type Spreads,
	type StrandDiameter
} from '$lib/core';
import { BOUNDS, outOf } from './bounds';
import type { LearntHere } from './learnt-here';

/** How tightly a strand lies: η, and its own 1σ as a share where it was learnt. */
export interface Lay {
	readonly layEfficiency: number;
	readonly share?: number;
}

/** What is known of a strand's thickness. */
export type StrandMade =
	/** A backing as it is sold; with a diameter where this very one was measured. */
	| { readonly by: 'material'; readonly material: BackingMaterial; readonly diameter?: StrandDiameter }
	| { readonly by: 'diameter'; readonly diameter: StrandDiameter }
	/** A line by its class; with the mass of the whole line where it was weighed. */
	| { readonly by: 'class'; readonly line: LineClass; readonly massG?: number; readonly gPerCm3?: number }
	/** A maker's table, rear end first. */
	| { readonly by: 'table'; readonly sections: readonly LineSection[] };

/** One strand of a set-up. */
export interface StrandDescription {
	readonly role: Role;
	readonly made: StrandMade;
	/** Left out of a strand of one diameter it is the length looked for; of a line, the usual length of its class. */
	readonly lengthMm?: number;
	/** Left out: as usual for its role. */
	readonly lay?: Lay;
}

/**
 * A set-up in millimetres and grams, however it was typed or sent: what a form and a request of the API both become, and
 * the only thing that {@link evaluate} takes.
 */
export interface SetupDescription {
	readonly spool: SpoolSource;
	/** From the arbor outward. */
	readonly stack: readonly StrandDescription[];
	readonly gapMm: number;
	/** 1σ of inputs in place of the defaults, where somebody said so: it holds for every strand and however it was measured. */
	readonly spreads: Partial<Spreads>;
	/** Depth read with everything above the backing alone on the bare arbor: the half-fit, mm. */
	readonly halfFitMm?: number;
	/** Turns of backing that then went over it until the gap was right: the reverse fill. */
	readonly reverseTurns?: number;
	/** What earlier windings have taught of its spool, strands and winder. */
	readonly learnt?: LearntHere | undefined;
}

const isBraid = (role: Role): boolean => role === 'backing' || role === 'bed';

/** η of a strand of a role where nobody said anything else. */
export const usualLay = (role: Role): Lay => ({
	layEfficiency: isBraid(role) ? BACKING_LAY_EFFICIENCY : LINE_LAY_EFFICIENCY
});

/** Sections of a class, of the length given or the usual one. */
function classSections(
	{ line, massG, gPerCm3 }: Extract<StrandMade, { by: 'class' }>,
	lengthMm: number | undefined
): Result<LineSection[]> {
	const outside = lengthMm === undefined ? undefined : outOf(BOUNDS.line, lengthMm, ['lengthMm']);
	if (outside) return outside;
	const leastMm = shortestLengthMm(line);
	if (lengthMm !== undefined && lengthMm < leastMm)
		return fail({ code: 'shorter_than_head', lengthMm, leastMm }, ['lengthMm']);
	const shape = taperOf(line, lengthMm);
	return ok(
		massG === undefined ? shape : scaleToMass(shape, massG, gPerCm3 ?? DENSITIES[line.density].gPerCm3)
	);
}

/** A level strand's spreads: bulk goes with the diameter squared, so its share is twice the diameter's. */
function levelSpreads(share: number, role: Role, lay: Lay, said: Partial<Spreads>): ComponentSpreads {
	// A lay that was learnt goes with the nominal diameter, whose uncertainty is in it already.
	return lay.share !== undefined && role === 'backing'
		? { diameterShare: 0, bulkShare: 0, layShare: lay.share }
		: { diameterShare: said.diameterShare ?? share, bulkShare: said.bulkShare ?? 2 * share };
}

/** A strand of one diameter: of the length given, or the one that is looked for. */
function levelComponent(
	{ role, lengthMm }: StrandDescription,
	diameter: StrandDiameter,
	lay: Lay,
	said: Partial<Spreads>
): Result<Component> {
	const { diameterMm, share } = diameter;
	const outside = outOf(BOUNDS.strand, diameterMm, ['made', 'diameter']);
	if (outside) return outside;
	const common = { role, layEfficiency: lay.layEfficiency, spreads: levelSpreads(share, role, lay, said) };
	return ok(
		lengthMm === undefined
			? { ...common, diameterMm }
			: { ...common, sections: [level(lengthMm, diameterMm)] }
	);
}

/**
 * A strand as the core winds it, with what may be off in it. Issues carry paths into the description.
 *
 * @param said spreads that somebody gave in place of the usual ones
 */
export function componentOf(strand: StrandDescription, said: Partial<Spreads> = {}): Result<Component> {
	const { role, made, lay = usualLay(role) } = strand;
	const { layEfficiency } = lay;
	switch (made.by) {
		case 'material': {
			const { diameterMm, diameterSpread } = made.material;
			const nominal = { diameterMm, way: 'calipers', share: diameterSpread } as const;
			return levelComponent(strand, made.diameter ?? nominal, lay, said);
		}
		case 'diameter':
			return levelComponent(strand, made.diameter, lay, said);
		case 'table':
			return ok({
				role,
				layEfficiency,
				sections: made.sections,
				spreads: { bulkShare: said.bulkShare ?? READING_SPREADS.tableBulkShare }
			});
		case 'class': {
			const sections = classSections(made, strand.lengthMm);
			if (!sections.ok) return sections;
			const weighed = made.massG !== undefined && {
				spreads: { bulkShare: said.bulkShare ?? READING_SPREADS.weighedBulkShare }
			};
			return ok({ role, layEfficiency, sections: sections.value, ...weighed });
		}
	}
}
