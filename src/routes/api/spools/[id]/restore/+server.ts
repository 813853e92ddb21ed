import { notFound } from '$lib/server/http';
import { restoreSpool } from '$lib/server/services';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params }) =>
	(await restoreSpool(params.id)) ? new Response(null, { status: 204 }) : notFound('spool');
