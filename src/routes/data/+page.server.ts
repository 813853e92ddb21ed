import { addressFor, backups } from '$lib/server/services';
import { zoneOf } from '$lib/server/today';
import { showMoment } from '$lib/wording/dates';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals, url }) => {
	depends('wendle:data');
	const zone = zoneOf(locals.zone);
	return {
		address: await addressFor(url),
		backups: (await backups()).map(({ name, madeAt, bytes }) => ({
			name,
			bytes,
			made: showMoment(madeAt, locals.locale, zone)
		}))
	};
};
