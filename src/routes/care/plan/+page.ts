import type { PageLoad } from './$types';

const isDay = (text: string | null): text is string => text !== null && /^\d{4}-\d{2}-\d{2}$/.test(text);

/** The plan that the address asks for: `?before=`, as an evening or as a week, so many minutes a day. */
export const load: PageLoad = ({ url: { searchParams }, data: { usual, ...data } }) => {
	const before = searchParams.get('before');
	return {
		...data,
		asked: {
			before: isDay(before) ? before : usual,
			week: searchParams.get('as') === 'week',
			minutes: Math.min(Math.max(Number(searchParams.get('minutes')) || 60, 10), 600)
		}
	};
};
