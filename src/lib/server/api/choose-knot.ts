import {
	chooseKnot,
	findDescribed,
	findKnot,
	KNOT_PLACES,
	KNOT_TOOLS,
	TYPICAL_MM,
	fail,
	ok,
	keys
} from '$lib/core';
import { z } from 'zod';
import { question } from './question';

const diameterMm = z.number().min(0.05).max(4);

export const ChooseKnotRequest = z
	.strictObject({
		place: z.enum(keys(KNOT_PLACES)),
		thinMm: diameterMm
			.optional()
			.meta({ description: 'The thinner strand; typical for the place unless given.' }),
		thickMm: diameterMm.optional(),
		loop: z.enum(['welded', 'none']).default('welded'),
		swaps: z.enum(['often', 'seldom', 'never']).default('seldom'),
		water: z.enum(['fresh', 'salt']).default('fresh'),
		slick: z.boolean().default(false),
		arbor: z.enum(['bare', 'tape', 'mono']).default('bare'),
		cage: z.enum(['open', 'closed']).default('open'),
		smooth: z.boolean().default(false),
		tools: z.array(z.enum(keys(KNOT_TOOLS))).default([]),
		skill: z.enum(['first', 'yearly', 'daily']).default('yearly')
	})
	.meta({ id: 'ChooseKnotRequest' });

export const ChooseKnotResponse = z
	.object({
		answers: z.array(
			z.object({
				slug: z.string(),
				name: z.string(),
				wraps: z.number().int(),
				points: z.number().meta({ description: 'Compares answers to one question, nothing else.' }),
				why: z.array(z.string()),
				against: z.array(z.string()),
				lacks: z.string().optional()
			})
		)
	})
	.meta({ id: 'ChooseKnotResponse' });

/** Knots for a place, the best first; what cannot be tied comes last, with what is missing. */
export const knotFor = question(
	'Which knot for a place, and why',
	ChooseKnotRequest,
	ChooseKnotResponse,
	(asked) => {
		const typical = TYPICAL_MM[asked.place];
		const thinMm = asked.thinMm ?? Math.min(typical.thin, asked.thickMm ?? Infinity);
		const thickMm = asked.thickMm ?? Math.max(typical.thick, asked.thinMm ?? 0);
		if (thinMm > thickMm)
			return fail({ code: 'out_of_range', value: thinMm, min: 0.05, max: thickMm, unit: 'mm' });
		return ok({
			answers: chooseKnot({ ...asked, thinMm, thickMm }).map((answer) => ({
				...answer,
				name: (findKnot(answer.slug) ?? findDescribed(answer.slug))!.name
			}))
		});
	}
);
