import { described, fileOperation } from '$lib/server/api/operation';
import { addressFor, calendarFile, care } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = described(
	fileOperation('What falls due, to subscribe to or to download', 'text/calendar'),
	async ({ url, locals }: RequestEvent): Promise<Response> => {
		const day = locals.today;
		const { entries } = await care(day);
		return new Response(calendarFile(entries, day, (await addressFor(url)).origin), {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'content-disposition': 'inline; filename="wendle-care.ics"',
				'cache-control': 'no-cache'
			}
		});
	}
);
