import { care, calendarFile } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** What falls due, to subscribe to or to download. */
export const GET: RequestHandler = async ({ url }) => {
	const today = new Date().toISOString().slice(0, 10);
	const { entries } = await care(today);
	// Without ORIGIN the adapter takes every address for https; by itself the server speaks http.
	const origin = process.env['ORIGIN'] ?? `http://${url.host}`;
	return new Response(calendarFile(entries, today, origin), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'inline; filename="wendle-care.ics"',
			'cache-control': 'no-cache'
		}
	});
};
