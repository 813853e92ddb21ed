import { pageShape } from '$lib/setup/answers';
import { listedWinding, ListedWinding } from '$lib/inventory/listed-winding';
import { ofSpool, pageOf } from '$lib/server/api/page';
import { listing } from '$lib/server/http';
import { everyWinding } from '$lib/server/services';

export const GET = listing('What was wound, the oldest first', pageShape(ListedWinding), async (asked) =>
	pageOf((await everyWinding()).map(listedWinding), asked, ofSpool)
);
