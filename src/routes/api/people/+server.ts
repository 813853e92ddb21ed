import { People } from '$lib/inventory/people';
import { reading } from '$lib/server/http';
import { people } from '$lib/server/services';

export const GET = reading(
	'Everybody whose name stands on a winding or an order',
	{ answer: People },
	async () => ({ people: await people() })
);
