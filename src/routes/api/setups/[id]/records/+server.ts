import { WriteWinding } from '$lib/inventory/winding';
import { Id } from '$lib/setup/answers';
import { writing } from '$lib/server/http';
import { recordWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = writing(
	{ summary: 'Save a winding', body: WriteWinding, answer: Id, status: 201 },
	(asked, { run, cutFrom, ...typed }, { params, locals }: RequestEvent) =>
		recordWinding(asked, params.id, typed, locals.units, locals.schools, { ends: run, cutFrom })
);
