import { ForgetHand } from '$lib/inventory/hand';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { forgetHand, hands } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = async () => json({ hands: await hands() });

export const PUT = writing(ForgetHand, async (asked, which) => {
	const forgotten = await forgetHand(asked, which);
	return forgotten.ok ? done({ hands: await hands() }) : forgotten;
});
