import {
	LEAVINGS,
	ok,
	ONTO,
	rangeOf,
	SOURCES,
	timesTurns,
	transferTurns,
	twistVerdict,
	untwistTechniques,
	type Transfer,
	keys
} from '$lib/core';
import { z } from 'zod';
import { question } from './question';

const way = z.enum(['clockwise', 'anticlockwise']);

export const TwistRequest = z
	.strictObject({
		lengthM: z.number().min(0.1).max(1000),
		transfers: z
			.array(
				z.strictObject({
					source: z.enum(keys(SOURCES)),
					diameterMm: z.number().min(5).max(2000).optional(),
					leaving: z.enum(keys(LEAVINGS)),
					seen: way.default('clockwise').meta({
						description: 'Which way the place where it leaves runs round, seen from the side it leaves to.'
					}),
					onto: z.enum(keys(ONTO)).default('reel'),
					handDiameterMm: z.number().min(20).max(2000).optional(),
					laid: way
						.optional()
						.meta({ description: 'Coils by hand: which way they are laid, seen from above.' }),
					jumpShare: z
						.number()
						.min(0)
						.max(1)
						.optional()
						.meta({ description: 'Share of coils that jump in a bowl.' })
				})
			)
			.min(1)
			.max(20),
		place: z
			.strictObject({
				laneM: z.number().min(0).max(1000).default(0),
				has: z.array(z.enum(['current', 'height', 'swivel'])).default([]),
				heightM: z.number().min(0).max(200).default(0),
				weakestLb: z.number().min(1).max(200).default(20)
			})
			.optional()
			.meta({ description: 'Where twist would be let out: then the ways to do it are answered too.' })
	})
	.meta({ id: 'TwistRequest' });

export const TwistResponse = z
	.object({
		turns: z.number().meta({ description: 'Along the line; positive is a right-handed screw.' }),
		range: z.tuple([z.number(), z.number()]).meta({ description: '5th to 95th percentile.' }),
		perMetre: z.number(),
		verdict: z.enum(['none', 'noticed', 'loops']),
		ways: z
			.array(
				z.object({
					key: z.string(),
					share: z.number(),
					minutes: z.number(),
					laneM: z.number().optional(),
					passes: z.number().int().optional(),
					pullLb: z.number().optional(),
					lacks: z.string().optional(),
					steps: z.array(z.string())
				})
			)
			.optional()
	})
	.meta({ id: 'TwistResponse' });

/** What transfers add up to, and how to get it out again. */
export const twist = question(
	'What transfers add to a line, and how to get it out',
	TwistRequest,
	TwistResponse,
	({ lengthMm, transfers, place }) => {
		const each = transfers.map((leg) => transferTurns({ ...(leg as Omit<Transfer, 'lengthMm'>), lengthMm }));
		const turns = {
			mean: each.reduce((sum, { mean }) => sum + mean, 0),
			sd: Math.hypot(...each.map(({ sd }) => sd))
		};
		const perMetre = timesTurns(turns, 1000 / lengthMm).mean;
		return ok({
			turns: turns.mean,
			range: rangeOf(turns),
			perMetre,
			verdict: twistVerdict(perMetre),
			...(place && { ways: untwistTechniques({ ...place, lengthMm, turns: turns.mean }) })
		});
	}
);
