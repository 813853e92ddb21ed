import { SwapRequest } from '$lib/schema/swap-api';
import { impossible, notFound, readBody } from '$lib/server/http';
import { planSwap } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Plans a swap; the bench then has its steps. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const body = await readBody(request, SwapRequest);
	if (!body.ok) return body.response;
	const planned = await planSwap(body.value, locals.units);
	if (planned.kind === 'gone') return notFound('spool, or something that should go on it');
	if (planned.kind === 'bad') return impossible(planned.issues);
	return json({ setupId: planned.setupId }, { status: 201 });
};
