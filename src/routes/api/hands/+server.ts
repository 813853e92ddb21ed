import { ForgetHand, Hands } from '$lib/inventory/hand';
import { reading, writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { forgetHand, hands } from '$lib/server/services';

export const GET = reading(
	'How tightly each backing is wound, learnt from the windings',
	{ answer: Hands },
	async () => ({ hands: await hands() })
);

export const PUT = writing(
	{ summary: 'Leave these windings out, or count them again', body: ForgetHand, answer: Hands },
	async (asked, which) => {
		const forgotten = await forgetHand(asked, which);
		return forgotten.ok ? done({ hands: await hands() }) : forgotten;
	}
);
