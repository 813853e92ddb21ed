import { Version } from '$lib/server/api/version';
import { writing } from '$lib/server/http';
import { saveWays } from '$lib/server/services';
import { SaveWays } from '$lib/setup/form';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{ summary: 'Change how a set-up is wound and tied', body: SaveWays, answer: Version },
	(asked, ways, { params, locals }: RequestEvent) => saveWays(asked, params.id, ways, locals.units)
);
