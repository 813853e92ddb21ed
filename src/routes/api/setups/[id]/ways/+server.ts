import { SaveWays } from '$lib/setup/form';
import { writing } from '$lib/server/http';
import { saveWays } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Changes how a set-up is wound and tied. */
export const PUT = writing(SaveWays, (asked, ways, { params, locals }: RequestEvent) =>
	saveWays(asked, params.id, ways, locals.units)
);
