import { KeepPlan, StockPage } from '$lib/stock/stock';
import { reading, writing } from '$lib/server/http';
import { keepPlan, stockPage } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = reading(
	'What the open orders need, what the next month may ask for, and which piece is to be cut from which source',
	{ answer: StockPage.omit({ entries: true }) },
	async ({ locals }: RequestEvent) => {
		const { needs, mayNeed, plan } = await stockPage(locals.today);
		return { needs, mayNeed, plan };
	}
);

export const PUT = writing(
	{ summary: 'Keep a plan of which piece is cut from which source', body: KeepPlan, status: 204 },
	(asked, { cuts }) => keepPlan(asked, cuts)
);
