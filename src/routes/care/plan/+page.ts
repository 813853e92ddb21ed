import { readDay } from '$lib/core';
import type { PageLoad } from './$types';

/** The plan that the address asks for: `?before=`, as an evening or as a week, so many minutes a day. */
export const load: PageLoad = ({ url: { searchParams }, data: { usual, ...data } }) => {
	return {
		...data,
		asked: {
			before: readDay(searchParams.get('before') ?? '') ?? usual,
			week: searchParams.get('as') === 'week',
			minutes: Math.min(Math.max(Number(searchParams.get('minutes')) || 60, 10), 600)
		}
	};
};
