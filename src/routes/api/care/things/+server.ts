import { BringThing } from '$lib/schema/care';
import { impossible, readBody } from '$lib/server/http';
import { bring } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Something that is on a coil, and was never wound here. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const body = await readBody(request, BringThing);
	if (!body.ok) return body.response;
	const brought = await bring(body.value, locals.today);
	return brought.ok ? json({ id: brought.value }, { status: 201 }) : impossible(brought.issues);
};
