import { BACKING_MATERIALS, keys, WINDING_HANDS } from '$lib/core';
import { z } from 'zod';

const lay = z.object({ layEfficiency: z.number(), share: z.number() });
const winding = z.enum(keys(WINDING_HANDS));
const material = z.enum(BACKING_MATERIALS.map(({ slug }) => slug) as [string, ...string[]]);

/** What is believed of one manner of winding one backing, before and after the finished fills. */
export const HandSummary = z
	.object({
		winding,
		material,
		prior: lay,
		posterior: lay,
		fills: z.array(
			lay.extend({
				recordId: z.string(),
				spool: z.string(),
				woundOn: z.string(),
				/** Forgotten fills stay visible, and do not count. */
				counts: z.boolean()
			})
		)
	})
	.meta({ id: 'HandSummary' });
export type HandSummary = z.infer<typeof HandSummary>;

export const Hands = z.object({ hands: z.array(HandSummary) });

/** Forgets what the fills so far taught, or undoes that. */
export const ForgetHand = z.strictObject({ winding, material, forget: z.boolean() });
