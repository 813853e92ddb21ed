import { Found } from '$lib/inventory/found';
import { reading } from '$lib/server/http';
import { find } from '$lib/server/services';
import { z } from 'zod';

export const GET = reading(
	'Find a spool, a line on a coil, an order or something in the stock by the code on its label, or by a part of its name',
	{
		answer: z.object({ found: z.array(Found), byCode: z.boolean() }),
		query: z.object({ q: z.string().optional() })
	},
	({ url }: { url: URL; request: Request }) => find(url.searchParams.get('q') ?? '')
);
