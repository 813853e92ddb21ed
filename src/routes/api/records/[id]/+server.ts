import { notFound } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Takes a winding back: what lay there before lies there again. Nothing of it is lost. */
export const DELETE: RequestHandler = async ({ params }) =>
	(await takeBackWinding(params.id, true)) ? new Response(null, { status: 204 }) : notFound('winding');
