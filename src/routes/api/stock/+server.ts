import { pageShape, Made } from '$lib/setup/answers';
import { CreateStock, StockEntry } from '$lib/stock/stock';
import { pageOf } from '$lib/server/api/page';
import { listing, writing } from '$lib/server/http';
import { createStock, stockEntries } from '$lib/server/services';

export const GET = listing(
	'Bulk spools, short ends and boxed lines, each with what is left of it',
	pageShape(StockEntry),
	async (asked) => pageOf(await stockEntries(), asked, () => false)
);

export const POST = writing(
	{ summary: 'Add a bulk spool, a short end or boxed lines', body: CreateStock, answer: Made, status: 201 },
	(asked, { form }, { locals }) => createStock(asked, form, locals.units)
);
