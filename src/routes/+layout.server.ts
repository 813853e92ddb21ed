import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals, route }) => ({
	// Read anew on every way from page to page: another window may have moved the browser to another place.
	at: route.id,
	units: locals.units,
	theme: locals.theme,
	schools: locals.schools,
	winder: locals.winder,
	locale: locals.locale,
	today: locals.today,
	place: locals.place
});
