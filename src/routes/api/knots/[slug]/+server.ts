import { KnotCurves, knotCurves } from '$lib/server/api/knot-curves';
import { described, readOperation } from '$lib/server/api/operation';
import { issueResponse, notFound, respond } from '$lib/server/http';
import { z } from 'zod';
import type { RequestEvent } from './$types';

const query = z.object({
	stage: z.number().int().optional(),
	wraps: z.number().int().optional(),
	mirrored: z.boolean().optional()
});

export const GET = described(
	readOperation('The curves of a stage, in space', { answer: KnotCurves, query }),
	async ({ params, url }: RequestEvent): Promise<Response> => {
		const asked = await knotCurves(params.slug, url.searchParams);
		if (asked.kind === 'none') return notFound('knot');
		if (asked.kind === 'bad')
			return issueResponse(422, [{ code: 'out_of_range', path: [asked.field], message: asked.message }]);
		return respond(asked.curves);
	}
);
