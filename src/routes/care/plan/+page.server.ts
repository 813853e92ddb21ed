import { care, season } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** Everything that falls due; and the day to do it before when none is asked for: the season's, else within a month. */
export const load: PageServerLoad = async ({ locals }) => {
	const day = locals.today;
	const windsOn = await season();
	const usual = windsOn && windsOn.compare(day) >= 0 ? windsOn : day.add({ days: 30 });
	const { entries } = await care(day);
	return {
		today: day,
		usual,
		things: entries
			.filter(({ dues }) => dues.length > 0)
			.map(({ kept, where, dues }) => ({
				id: kept.id,
				label: kept.label,
				kind: kept.kind,
				place: where,
				dues
			}))
	};
};
