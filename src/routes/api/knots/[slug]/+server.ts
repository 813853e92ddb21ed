import { knotCurves } from '$lib/server/api/knot-curves';
import { issueResponse, notFound } from '$lib/server/http';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The curves of one stage, in space: `?stage=` from 1, `?wraps=` as many as the knot takes. */
export const GET: RequestHandler = ({ params, url }) => {
	const asked = knotCurves(params.slug, url.searchParams);
	if (asked.kind === 'none') return notFound('knot');
	if (asked.kind === 'bad')
		return issueResponse(422, [{ code: 'out_of_range', path: [asked.field], message: asked.message }]);
	return json(asked.curves);
};
