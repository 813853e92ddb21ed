import { SwapRequest } from '$lib/server/api/swap';
import { writing } from '$lib/server/http';
import { planSwap } from '$lib/server/services';

/** Plans a swap; the bench then has its steps. */
export const POST = writing(
	SwapRequest,
	(asked, swap, { locals }) => planSwap(asked, swap, locals.units),
	201
);
