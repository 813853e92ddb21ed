import { SaveSetup } from '$lib/schema/setup';
import { notFound, readBody } from '$lib/server/http';
import { dropSetup, saveSetup } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, params, locals }) => {
	const body = await readBody(request, SaveSetup);
	if (!body.ok) return body.response;
	const saved = await saveSetup(params.id, body.value.form, body.value.version, locals.units);
	if (saved.kind === 'gone') return notFound('set-up');
	if (saved.kind === 'stale') return json({ current: saved.current }, { status: 409 });
	return json({ version: saved.version });
};

/** Drops a plan that nobody wound. Nothing of it is lost. */
export const DELETE: RequestHandler = async ({ params }) =>
	(await dropSetup(params.id, true))
		? new Response(null, { status: 204 })
		: notFound('plan that was not wound');
