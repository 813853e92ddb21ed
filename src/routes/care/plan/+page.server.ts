import { addDays } from '$lib/core';
import { care, practice } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** What to do before a day: `?before=`; without one before the season, else within a month. */
export const load: PageServerLoad = async ({ url, locals }) => {
	const day = locals.today;
	const asked = url.searchParams.get('before');
	const { windsOn } = await practice(new Date(`${day}T12:00:00Z`));
	const usual = windsOn !== null && windsOn >= day ? windsOn : addDays(day, 30);
	const { entries } = await care(day);
	return {
		today: day,
		before: asked !== null && /^\d{4}-\d{2}-\d{2}$/.test(asked) ? asked : usual,
		week: url.searchParams.get('as') === 'week',
		minutes: Math.min(Math.max(Number(url.searchParams.get('minutes')) || 60, 10), 600),
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
