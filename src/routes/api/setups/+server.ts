import { CreateSetup } from '$lib/setup/form';
import { writing } from '$lib/server/http';
import { createSetup } from '$lib/server/services';

export const POST = writing(
	CreateSetup,
	(asked, { form, spoolId, spoolVersion }, { locals }) =>
		createSetup(asked, form, locals.units, spoolId === undefined ? undefined : { spoolId, spoolVersion }),
	201
);
