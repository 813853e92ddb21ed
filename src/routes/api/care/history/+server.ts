import { notFound, respond } from '$lib/server/http';
import { careHistory } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Everything that was written of one thing, `?of=`, newest first; what was taken back as well, and said so. */
export const GET: RequestHandler = async ({ url }) => {
	const history = await careHistory(url.searchParams.get('of') ?? '');
	return history ? respond(history) : notFound('line or backing');
};
