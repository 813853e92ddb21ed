import { SwapResponse } from '$lib/inventory/swap-answer';
import { SwapRequest } from '$lib/server/api/swap';
import { writing } from '$lib/server/http';
import { planSwap } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'Plan a swap on a spool; the bench then has its steps',
		body: SwapRequest,
		answer: SwapResponse,
		status: 201
	},
	(asked, swap, { locals }) => planSwap(asked, swap, locals.units)
);
