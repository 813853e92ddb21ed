import { ForgetHand } from '$lib/schema/hand';
import { readBody } from '$lib/server/http';
import { forgetHand, hands, rememberHand } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = async () => json({ hands: await hands() });

export const PUT: RequestHandler = async ({ request }) => {
	const body = await readBody(request, ForgetHand);
	if (!body.ok) return body.response;
	const { winding, material, forget } = body.value;
	await (forget ? forgetHand(winding, material) : rememberHand(winding, material));
	return json({ hands: await hands() });
};
