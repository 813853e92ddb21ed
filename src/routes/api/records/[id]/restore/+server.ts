import { notFound } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Brings a winding again that was taken back. */
export const POST: RequestHandler = async ({ params }) =>
	(await takeBackWinding(params.id, false)) ? new Response(null, { status: 204 }) : notFound('winding');
