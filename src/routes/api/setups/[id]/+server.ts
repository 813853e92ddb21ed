import { SaveSetup } from '$lib/setup/form';
import { acting, writing } from '$lib/server/http';
import { dropSetup, saveSetup } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Saves over the version that was seen; a 409 brings what another window saved meanwhile. */
export const PUT = writing(SaveSetup, (asked, { form, version }, { params, locals }: RequestEvent) =>
	saveSetup(asked, params.id, form, version, locals.units)
);

/** Drops a plan that nobody wound. Nothing of it is lost. */
export const DELETE = acting((asked, { params }: RequestEvent) => dropSetup(asked, params.id, true));
