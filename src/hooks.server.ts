import {
	MOST_NAME,
	readTheme,
	readUnits,
	TECHNIQUES_COOKIE,
	THEME_COOKIE,
	WINDER_COOKIE,
	ZONE_COOKIE
} from '$lib/ui/state/cookies';
import { readTechniques } from '$lib/ui/state/techniques-cookie';
import { localeOf } from '$lib/wording/dates';
import { UNITS_COOKIE } from '$lib/wording/units';
import { closeDatabase, inPlace } from '$lib/server/db';
import { withoutStatement } from '$lib/server/db/trouble';
import { PLACE_COOKIE, placeOf, refuseFromElsewhere } from '$lib/server/place';
import { todayIn } from '$lib/server/today';
import { strandsNow } from '$lib/server/services';
import { endThreads } from '$lib/server/work/aside';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';

process.on('sveltekit:shutdown', () => void Promise.all([closeDatabase(), endThreads()]));

/** Lives are folded before anyone asks for them; what keeps that from working is told to whoever does ask. */
export const init: ServerInit = () => void strandsNow().catch(() => undefined);

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.units = readUnits(event.cookies.get(UNITS_COOKIE));
	event.locals.theme = readTheme(event.cookies.get(THEME_COOKIE));
	event.locals.zone = event.cookies.get(ZONE_COOKIE);
	event.locals.today = todayIn(event.locals.zone);
	event.locals.schools = readTechniques(event.cookies.get(TECHNIQUES_COOKIE));
	event.locals.locale = localeOf(event.request.headers.get('accept-language'));
	event.locals.winder = (event.cookies.get(WINDER_COOKIE) ?? '').slice(0, MOST_NAME);
	const place = placeOf(event.cookies.get(PLACE_COOKIE));
	event.locals.place = place;
	const refusal = refuseFromElsewhere(event.request.headers, place);
	if (refusal) return refusal;
	const page: Parameters<typeof resolve>[1] = {
		transformPageChunk: ({ html }) => html.replace('%wendle.theme%', event.locals.theme),
		preload: ({ type, path }) =>
			type === 'js' ||
			type === 'css' ||
			(type === 'font' && /latin-(wght|400)-normal\.[\w-]+\.woff2$/.test(path))
	};
	const response = await inPlace(place, () => resolve(event, page));
	response.headers.set('X-Content-Type-Options', 'nosniff');
	response.headers.set('Referrer-Policy', 'same-origin');
	if (event.request.method === 'HEAD') return headOf(response);
	return compressed(event.request, response);
};

/** An answer without its body: a stream of events that nobody reads would never end. */
async function headOf({ body, status, headers }: Response): Promise<Response> {
	await body?.cancel();
	return new Response(null, { status, headers });
}

/** Answers shorter than this gain nothing by it, bytes. */
const SHORT = 1000;
const COMPRESSES = /^(text\/html|text\/calendar|application\/json)\b/;

/** Pages and answers go out compressed to whoever takes that: what is built comes compressed already, and streams of events flow. */
function compressed(request: Request, response: Response): Response {
	const { headers } = response;
	headers.append('Vary', 'Accept-Encoding');
	if (
		!response.body ||
		headers.has('content-encoding') ||
		Number(headers.get('content-length') ?? SHORT) < SHORT ||
		!COMPRESSES.test(headers.get('content-type') ?? '') ||
		!/\bgzip\b/.test(request.headers.get('accept-encoding') ?? '')
	)
		return response;
	headers.set('Content-Encoding', 'gzip');
	headers.delete('Content-Length');
	return new Response(response.body.pipeThrough(new CompressionStream('gzip')), response);
}

/** An unexpected failure: logged for whoever runs the server, told briefly to whoever uses it. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
	if (status === 404) return { message: "This page doesn't exist. Go back to the rack." };
	// As what is put in, not as the format: an address may have signs in it that stand for something there.
	console.error('%s %s failed:', event.request.method, event.url.pathname, withoutStatement(error));
	return {
		message:
			status < 500
				? message
				: "Something went wrong in Wendle, so it didn't do what you asked. Everything you saved before is still there. Try again."
	};
};
