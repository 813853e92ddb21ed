import { reading } from '$lib/server/http';
import { find } from '$lib/server/services';
import { z } from 'zod';

const Found = z.object({
	kind: z.enum(['spool', 'line', 'order']),
	name: z.string(),
	beside: z.string(),
	href: z.string(),
	code: z.string()
});

export const GET = reading(
	'Find a spool, a line on a coil or an order by the code on its label, or by a part of its name',
	{
		answer: z.object({ found: z.array(Found), byCode: z.boolean() }),
		query: z.object({ q: z.string().optional() })
	},
	({ url }: { url: URL; request: Request }) => find(url.searchParams.get('q') ?? '')
);
