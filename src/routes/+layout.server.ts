import { anyOrder, anyStock } from '$lib/server/services';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, route, depends }) => {
	const { visitor } = locals;
	const role = visitor.kind === 'open' || visitor.kind === 'session' ? visitor.role : null;
	depends('wendle:orders');
	depends('wendle:stock');
	return {
		// Read anew on every way from page to page: another window may have moved the browser to another place.
		at: route.id,
		units: locals.units,
		theme: locals.theme,
		schools: locals.schools,
		winder: locals.winder,
		locale: locals.locale,
		today: locals.today,
		place: locals.place,
		/** As what this device came in; null for whoever has yet to sign in. */
		role,
		signedIn: visitor.kind === 'session',
		/** Whoever winds for nobody else never meets orders. What is wrong with the file is told by the pages that need it. */
		hasOrders: role !== null && (await anyOrder().catch(() => false)),
		/** The same of stock. */
		hasStock: role !== null && (await anyStock().catch(() => false))
	};
};
