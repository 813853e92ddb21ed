import { WriteRecord } from '$lib/inventory/winding';
import { writing } from '$lib/server/http';
import { recordWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = writing(
	WriteRecord,
	(asked, { run, ...typed }, { params, locals }: RequestEvent) =>
		recordWinding(asked, params.id, typed, locals.units, locals.schools, run),
	201
);
