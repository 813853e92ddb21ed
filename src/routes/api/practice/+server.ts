import { Practised, Season } from '$lib/schema/practice';
import { notFound, readBody } from '$lib/server/http';
import { practice, practised, setSeason } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => json(await practice());

/** Counts a session. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, Practised);
	if (!body.ok) return body.response;
	return (await practised(body.value)) ? json(await practice()) : notFound('knot');
};

/** Says when spools are next wound. */
export const PUT: RequestHandler = async ({ request }) => {
	const body = await readBody(request, Season);
	if (!body.ok) return body.response;
	await setSeason(body.value.windsOn);
	return json(await practice());
};
