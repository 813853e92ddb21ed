import { backups } from '$lib/server/services';
import { zoneOf } from '$lib/server/today';
import { showMoment } from '$lib/wording/dates';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:data');
	const zone = zoneOf(locals.zone);
	return {
		backups: (await backups()).map(({ name, madeAt, bytes }) => ({
			name,
			bytes,
			made: showMoment(madeAt, locals.locale, zone)
		}))
	};
};
