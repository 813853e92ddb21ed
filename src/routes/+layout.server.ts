import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({
	units: locals.units,
	theme: locals.theme,
	schools: locals.schools,
	today: locals.today
});
