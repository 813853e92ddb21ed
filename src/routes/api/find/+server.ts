import { FoundAnswer, Sought } from '$lib/inventory/found';
import { reading, writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { find } from '$lib/server/services';

export const GET = reading(
	'Find a spool, a line on a coil, an order or something in the stock by the code on its label, or by a part of its name',
	{ answer: FoundAnswer, query: Sought.partial() },
	({ url }: { url: URL; request: Request }) => find(url.searchParams.get('q') ?? '')
);

export const POST = writing(
	{
		summary: 'The same, with what is sought in the body: a name then stands in no address',
		body: Sought,
		answer: FoundAnswer
	},
	async (_asked, { q }) => done(await find(q))
);
