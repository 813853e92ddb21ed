import { DENSITIES, keys, ROLES, type Spreads } from '$lib/core';
import { BOUNDS, LEAST_LAY_EFFICIENCY, MOST_SPREAD_SHARE, type Bounds } from '$lib/setup/bounds';
import { MAX_COMPONENTS } from '$lib/setup/limits';
import { z } from 'zod';

/** A quantity of the API within the bounds that hold for the form as well, in the unit of its name. */
export const bounded = ({ min, max }: Bounds): z.ZodNumber => z.number().min(min).max(max);

const spoolMm = bounded(BOUNDS.spool);
const strandMm = bounded(BOUNDS.strand);
const gapMm = bounded(BOUNDS.gap);

/** Most points and sections taken: more than any maker prints, few enough that an answer is quick. */
const MAX_PROFILE_POINTS = 50;
const MAX_SECTIONS = 60;

export const SectionInput = z
	.strictObject({ lengthM: bounded(BOUNDS.section), startDiameterMm: strandMm, endDiameterMm: strandMm })
	.meta({ description: 'A stretch of line with straight sides. Sections run rear end first.' });

export const ProfilePointInput = z.strictObject({
	diameterMm: spoolMm,
	/** The floor may be closed. */
	widthMm: z.number().min(0).max(BOUNDS.spool.max)
});

export const RatingInput = z
	.strictObject({
		lineClass: z.string().max(20).optional(),
		head: z
			.strictObject({
				grains: z.number().min(16).max(4600),
				lengthM: bounded(BOUNDS.component),
				density: z.enum(keys(DENSITIES)).optional()
			})
			.optional()
			.meta({
				description:
					'In place of a class: a head by its weight and length; floating unless it says otherwise.'
			}),
		nylonMm: bounded(BOUNDS.strand).optional().meta({
			description:
				'In place of a line: plain nylon of this thickness alone, and the length is that of the nylon.'
		}),
		backing: z.string().max(40).optional(),
		lengthM: bounded(BOUNDS.backing)
	})
	.meta({
		description: "A maker's figure: this line, or a head, and so much of that backing; or so much nylon."
	});

export const SpoolInput = z
	.strictObject({
		rimDiameterMm: spoolMm.optional(),
		arborDiameterMm: spoolMm.optional(),
		widthMm: spoolMm.optional(),
		profile: z
			.array(ProfilePointInput)
			.max(MAX_PROFILE_POINTS)
			.optional()
			.meta({ description: 'Width over diameter from the floor to the rim, in place of arbor and width.' }),
		frameDiameterMm: spoolMm
			.optional()
			.meta({ description: 'Clear diameter inside the frame; the gap is measured to it.' }),
		ratings: z.array(RatingInput).min(1).max(10).optional().meta({
			description:
				'In place of measures. Rim and width may be given with it; what is missing is estimated from the shape of an ordinary mid-arbor spool.'
		}),
		fill: z
			.strictObject({
				lineClass: z.string().max(20).optional(),
				sections: z.array(SectionInput).min(1).max(MAX_SECTIONS).optional(),
				backing: z.string().max(40),
				lengthM: bounded(BOUNDS.backing),
				gapMm
			})
			.optional()
			.meta({ description: 'In place of measures: what is on the spool now, and the gap it leaves.' }),
		makersAllowance: z
			.number()
			.min(0)
			.max(0.9)
			.optional()
			.meta({ description: "Share taken off the makers' backing figures; 0.1 unless given." })
	})
	.meta({ description: 'Measured (rim, arbor, width), by profile, or rated.' });

export const ComponentInput = z
	.strictObject({
		role: z.enum(ROLES),
		layEfficiency: z.number().min(LEAST_LAY_EFFICIENCY).max(10).optional().meta({
			description:
				'How tightly it is wound, against perfectly square winding (π/4). 0.90 for backing and 0.88 for the rest unless given.'
		}),
		layShare: z
			.number()
			.min(0)
			.max(MOST_SPREAD_SHARE)
			.optional()
			.meta({ description: '1σ of layEfficiency as a share of it, where it was learnt.' }),
		lengthM: bounded(BOUNDS.component).optional(),
		diameterMm: strandMm.optional(),
		material: z
			.string()
			.max(40)
			.optional()
			.meta({ description: 'polyester-20 and so on, in place of a diameter.' }),
		wraps: z
			.strictObject({
				count: z.number().int().min(1).max(1000),
				widthMm: z
					.number()
					.positive()
					.max(1000 * BOUNDS.strand.max)
			})
			.optional()
			.meta({ description: 'So many wraps side by side take this width, in place of a diameter.' }),
		weighed: z
			.strictObject({
				massG: z.number().positive().max(10_000),
				lengthM: z.number().positive().max(BOUNDS.component.max)
			})
			.optional()
			.meta({ description: 'A measured length and its mass, in place of a diameter; needs densityGPerCm3.' }),
		densityGPerCm3: z.number().min(0.1).max(20).optional(),
		massG: bounded(BOUNDS.lineMass)
			.optional()
			.meta({ description: 'With lineClass: the whole line was weighed, and its bulk follows.' }),
		sections: z.array(SectionInput).min(1).max(MAX_SECTIONS).optional(),
		lineClass: z
			.string()
			.max(20)
			.optional()
			.meta({ description: 'WF6F and so on, in place of sections; lengthM may change its usual length.' })
	})
	.meta({ description: 'One component. The one with neither length nor sections is solved.' });

const spreadMm = bounded(BOUNDS.spread).optional();
const spreadShare = z.number().min(0).max(MOST_SPREAD_SHARE).optional();

export const SpreadsInput = z
	.strictObject({
		rimMm: spreadMm,
		arborMm: spreadMm,
		widthMm: spreadMm,
		diameterShare: spreadShare,
		bulkShare: spreadShare,
		layShare: spreadShare,
		depthMm: spreadMm
	} satisfies Record<keyof Spreads, unknown>)
	.meta({ description: '1σ of each input, in place of the defaults.' });

export const FitRequest = z
	.strictObject({
		spool: SpoolInput,
		stack: z
			.array(ComponentInput)
			.min(1)
			.max(MAX_COMPONENTS)
			.meta({ description: 'From the arbor outward.' }),
		gapMm: gapMm.optional().meta({ description: '4 unless given.' }),
		spreads: SpreadsInput.optional()
	})
	.meta({ id: 'FitRequest' });

const range = z.tuple([z.number(), z.number()]);

export const FitResponse = z
	.object({
		fits: z.boolean(),
		gapMm: z.number().meta({ description: 'Final gap; negative when the line is above the rim or frame.' }),
		solved: z
			.object({
				index: z.number().int(),
				lengthM: z.number(),
				turns: z.number(),
				stopDepthMm: z.number()
			})
			.optional(),
		over: z.object({ gapMm: z.number(), lengthM: z.number(), notEnough: z.boolean() }).optional().meta({
			description:
				'Only when it does not fit: by how much the gap falls short, and how much to cut off the rear of the outermost component. notEnough: that is all of it, and it still does not fit.'
		}),
		components: z.array(
			z.object({
				role: z.enum(ROLES),
				lengthM: z.number(),
				volumeMm3: z.number(),
				turns: z.number(),
				innerDiameterMm: z.number(),
				outerDiameterMm: z.number(),
				depthMm: z.number()
			})
		),
		retrieve: z
			.object({ fullMm: z.number(), arborMm: z.number() })
			.meta({ description: 'Line taken in by one turn, full and on the bare arbor.' }),
		ranges: z
			.object({
				gapMm: range.meta({ description: 'Wound to the stop depth by a rule.' }),
				gapByLengthMm: range.meta({ description: 'Wound by the length.' }),
				lengthM: range.optional(),
				turns: range.optional(),
				stopDepthMm: range.optional()
			})
			.meta({ description: '5th to 95th percentile, first order, from the spreads.' }),
		spool: z.object({
			rimDiameterMm: z.number(),
			arborDiameterMm: z.number(),
			widthMm: z.number().meta({ description: 'At the rim.' }),
			estimated: z.array(z.enum(['rim', 'arbor', 'width'])),
			ratings: z
				.object({
					deviations: z.array(z.number()),
					oddIndex: z.number().int().optional(),
					undecided: z.boolean()
				})
				.optional()
				.meta({
					description: 'How far each rating is from the common bulk, and which one contradicts the rest.'
				})
		})
	})
	.meta({ id: 'FitResponse' });

export const IssueList = z
	.object({
		issues: z.array(
			z.object({ code: z.string(), path: z.array(z.union([z.string(), z.number()])), message: z.string() })
		)
	})
	.meta({ id: 'IssueList' });
