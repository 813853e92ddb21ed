import { notFound } from '$lib/server/http';
import { dropSetup } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Takes up a plan again that was dropped. */
export const POST: RequestHandler = async ({ params }) =>
	(await dropSetup(params.id, false)) ? new Response(null, { status: 204 }) : notFound('plan');
