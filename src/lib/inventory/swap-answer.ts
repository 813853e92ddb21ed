import { z } from 'zod';

export const SwapResponse = z
	.object({
		setupId: z.string().meta({ description: 'The set-up that the swap leads to: /bench/{setupId}.' })
	})
	.meta({ id: 'SwapResponse' });
