import { CreateSetup } from '$lib/schema/setup';
import { readBody } from '$lib/server/http';
import { createSetup } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const POST: RequestHandler = async ({ request, locals }) => {
	const body = await readBody(request, CreateSetup);
	if (!body.ok) return body.response;
	return json(await createSetup(body.value.form, locals.units, body.value.spoolId), { status: 201 });
};
