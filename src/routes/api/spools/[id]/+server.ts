import { notFound } from '$lib/server/http';
import { removeSpool } from '$lib/server/services';
import type { RequestHandler } from './$types';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removeSpool(params.id)) ? new Response(null, { status: 204 }) : notFound('spool');
