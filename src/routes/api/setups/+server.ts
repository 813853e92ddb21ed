import { Created } from '$lib/setup/answers';
import { writing } from '$lib/server/http';
import { createSetup } from '$lib/server/services';
import { CreateSetup } from '$lib/setup/form';

export const POST = writing(
	{ summary: 'Save a new set-up', body: CreateSetup, answer: Created, status: 201 },
	(asked, { form, spoolId, spoolVersion }, { locals }) =>
		createSetup(asked, form, locals.units, spoolId === undefined ? undefined : { spoolId, spoolVersion })
);
