import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({
	units: locals.units,
	theme: locals.theme,
	schools: locals.schools,
	winder: locals.winder,
	locale: locals.locale,
	today: locals.today
});
