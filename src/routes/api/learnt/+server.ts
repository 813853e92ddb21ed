import { CountWinding, LearntAnswer } from '$lib/inventory/learnt';
import { reading, writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { countWinding, learntTold } from '$lib/server/services';

export const GET = reading(
	'What all windings of the rack have taught of its spools, strands and winders',
	{ answer: LearntAnswer },
	async () => learntTold()
);

export const PUT = writing(
	{ summary: 'Leave a winding out of it, or count it again', body: CountWinding, answer: LearntAnswer },
	async (asked, which) => {
		const counted = await countWinding(asked, which);
		return counted.ok ? done(await learntTold()) : counted;
	}
);
