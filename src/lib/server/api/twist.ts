import {
	LEAVINGS,
	ok,
	ONTO,
	rangeOf,
	SOURCES,
	timesTurns,
	transferTurns,
	twistVerdict,
	waysOut,
	type Result,
	type Transfer,
	keys
} from '$lib/core';
import { z } from 'zod';

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

const tidy = (value: number): number => Math.round(value * 1e4) / 1e4;

/** What transfers add up to, and how to get it out again. */
export function answerTwist({
	lengthM,
	transfers,
	place
}: z.output<typeof TwistRequest>): Result<z.input<typeof TwistResponse>> {
	const lengthMm = 1000 * lengthM;
	const each = transfers.map((leg) =>
		// What was left out stays away.
		transferTurns({ ...(JSON.parse(JSON.stringify(leg)) as Omit<Transfer, 'lengthMm'>), lengthMm })
	);
	const turns = {
		mean: each.reduce((sum, { mean }) => sum + mean, 0),
		sd: Math.hypot(...each.map(({ sd }) => sd))
	};
	const { low, high } = rangeOf(turns);
	const perMetre = timesTurns(turns, 1 / lengthM).mean;
	const ways =
		place &&
		waysOut({
			lengthMm,
			laneMm: 1000 * place.laneM,
			has: place.has,
			heightMm: 1000 * place.heightM,
			weakestLb: place.weakestLb,
			turns: turns.mean
		});
	return ok({
		turns: tidy(turns.mean),
		range: [tidy(low), tidy(high)],
		perMetre: tidy(perMetre),
		verdict: twistVerdict(perMetre),
		...(ways && {
			ways: ways.map(({ key, share, minutes, laneMm, passes, pullLb, lacks, steps }) => ({
				key,
				share,
				minutes: tidy(minutes),
				...(laneMm !== undefined && { laneM: tidy(laneMm / 1000) }),
				...(passes !== undefined && { passes }),
				...(pullLb !== undefined && { pullLb: tidy(pullLb) }),
				...(lacks !== undefined && { lacks }),
				steps: [...steps]
			}))
		})
	});
}
