import { DescribeThing } from '$lib/inventory/care';
import { notFound, writing } from '$lib/server/http';
import { brought, describeBrought } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestEvent, RequestHandler } from './$types';

/** How a strand that was brought is described, and the version of that. */
export const GET: RequestHandler = async ({ params }) => {
	const found = await brought(params.id);
	return found ? json(found) : notFound('line that you brought');
};

/** Describes it otherwise, over the version that was seen. */
export const PUT = writing(DescribeThing, (asked, described, { params }: RequestEvent) =>
	describeBrought(asked, params.id, described)
);
