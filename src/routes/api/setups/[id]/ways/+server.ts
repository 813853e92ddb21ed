import { Version } from '$lib/setup/answers';
import { writing } from '$lib/server/http';
import { saveTechniques } from '$lib/server/services';
import { SaveTechniques } from '$lib/setup/form';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{ summary: 'Change how a set-up is wound and tied', body: SaveTechniques, answer: Version },
	(asked, ways, { params, locals }: RequestEvent) => saveTechniques(asked, params.id, ways, locals.units)
);
