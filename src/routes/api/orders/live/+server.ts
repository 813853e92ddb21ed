import { described, fileOperation } from '$lib/server/api/operation';
import { eventStream } from '$lib/server/http';
import { followOrders } from '$lib/server/services';

export const GET = described(
	fileOperation(
		'Follow the board: a server-sent event whenever an order may have changed; ask for the orders then',
		'text/event-stream'
	),
	() => {
		let number = 0;
		return eventStream((send) => followOrders(() => send(++number, {})));
	}
);
