import { pageShape, Created, SavedSetup } from '$lib/setup/answers';
import { ofSpool, pageOf } from '$lib/server/api/page';
import { listing, writing } from '$lib/server/http';
import { createSetup, listSetups } from '$lib/server/services';
import { CreateSetup } from '$lib/setup/form';

export const GET = listing(
	'The set-ups of the spools on the rack, the oldest first',
	pageShape(SavedSetup),
	async (asked) => pageOf(await listSetups(), asked, ofSpool)
);

export const POST = writing(
	{ summary: 'Save a new set-up', body: CreateSetup, answer: Created, status: 201 },
	(asked, { form, spoolId, spoolVersion }, { locals }) =>
		createSetup(asked, form, locals.units, spoolId === undefined ? undefined : { spoolId, spoolVersion })
);
