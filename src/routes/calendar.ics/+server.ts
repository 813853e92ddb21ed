import { originOf } from '$lib/server/origin';
import { care, calendarFile } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** What falls due, to subscribe to or to download. */
export const GET: RequestHandler = async ({ url, locals }) => {
	const day = locals.today;
	const { entries } = await care(day);
	return new Response(calendarFile(entries, day, originOf(url)), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'inline; filename="wendle-care.ics"',
			'cache-control': 'no-cache'
		}
	});
};
