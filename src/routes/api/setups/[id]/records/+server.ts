import { RecordForm } from '$lib/schema/setup';
import { impossible, notFound, readBody } from '$lib/server/http';
import { recordWinding } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, params, locals }) => {
	const body = await readBody(request, RecordForm);
	if (!body.ok) return body.response;
	const recorded = await recordWinding(params.id, body.value, locals.units, locals.schools);
	if (recorded.kind === 'gone') return notFound('set-up');
	if (recorded.kind === 'bad') return impossible(recorded.issues);
	return json({ id: recorded.id }, { status: 201 });
};
