import { z } from 'zod';
import { MAX_COMPONENTS } from '$lib/setup/limits';
import { ComponentForm } from '$lib/setup/form';

const New = ComponentForm.pick({ role: true, made: true, length: true, note: true });

/** What is to be swapped on a spool: so many components stay, from the arbor outward; these go on over them. */
export const SwapRequest = z
	.strictObject({
		spoolId: z.string().min(1).max(64),
		keep: z.number().int().min(1).max(MAX_COMPONENTS),
		on: z
			.array(z.union([z.strictObject({ kept: z.string().min(1).max(160) }), New]))
			.min(1)
			.max(MAX_COMPONENTS)
			.meta({
				description: 'Strands that were wound before, by their ids, or new ones; from the inside out.'
			})
	})
	.meta({ id: 'SwapRequest' });
export type SwapRequest = z.infer<typeof SwapRequest>;
