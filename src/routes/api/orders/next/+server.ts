import { NextReel } from '$lib/orders/board';
import { TakeNext } from '$lib/orders/order';
import { writing } from '$lib/server/http';
import { takeNext } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'Take the next reel of the queue to a bench; null when nobody has to wind one',
		body: TakeNext,
		answer: NextReel.nullable()
	},
	takeNext
);
