import { SavedSetup, Version } from '$lib/setup/answers';
import { acting, reading, writing } from '$lib/server/http';
import { dropSetup, loadSetup, saveSetup } from '$lib/server/services';
import { SaveSetup } from '$lib/setup/form';
import type { RequestEvent } from './$types';

export const GET = reading(
	'A set-up as it is saved',
	{ answer: SavedSetup, what: 'set-up' },
	async ({ params }: RequestEvent) => loadSetup(params.id)
);

export const PUT = writing(
	{
		summary: 'Save a set-up over the version last seen; its version counts the changes of its spool as well',
		body: SaveSetup,
		answer: Version
	},
	(asked, { form, version }, { params, locals }: RequestEvent) =>
		saveSetup(asked, params.id, form, version, locals.units)
);

export const DELETE = acting('Drop a plan that nobody wound', (asked, { params }: RequestEvent) =>
	dropSetup(asked, params.id, true)
);
