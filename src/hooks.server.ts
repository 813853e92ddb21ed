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
import {
	redirect,
	type Handle,
	type HandleServerError,
	type RequestEvent,
	type ServerInit
} from '@sveltejs/kit';
import { closeAccess, noteDeed, refusalFor, SESSION_COOKIE, visitor, type Brought } from '$lib/server/access';
import { refuse } from '$lib/server/http';
import { failures } from '$lib/server/log';
import { countRequest } from '$lib/server/metrics';

process.on('sveltekit:shutdown', () => void Promise.all([closeDatabase(), closeAccess(), endThreads()]));

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
	event.locals.requestId = event.request.headers.get('x-request-id') ?? '';
	event.locals.visitor = await visitor(broughtBy(event));
	const shut = shutOut(event);
	if (shut) return shut;
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
	const began = performance.now();
	const response = await inPlace(place, () => resolve(event, page));
	// What is answered may have names in it: nobody on the way keeps it.
	if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-cache');
	const { visitor: who, did } = event.locals;
	if (did !== undefined) await noteDeed(who, did, event.request.method, event.url.pathname);
	countRequest(
		event.route.id ?? 'none',
		event.request.method,
		response.status,
		(performance.now() - began) / 1000
	);
	return event.request.method === 'HEAD' ? headOf(response) : response;
};

const SIGN_IN = 'Give your passcode first.';
const NOT_YOURS: Record<'viewer' | 'bench' | 'token', string> = {
	viewer: 'You came in as a viewer, so you can look but change nothing. Sign in with another passcode.',
	bench: 'Only the owner may do this. Sign in with the passcode of the owner.',
	token: 'This token is for something else.'
};

const broughtBy = ({ cookies, request, url }: RequestEvent): Brought => ({
	cookie: cookies.get(SESSION_COOKIE),
	bearer:
		/^Bearer (\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1] ??
		// A calendar that subscribes to the file can say no header.
		(url.pathname === '/calendar.ics' ? (url.searchParams.get('token') ?? undefined) : undefined)
});

/** The answer to whoever may not do what they ask: the way in, or why not. Undefined for whoever may. */
function shutOut({ locals, request, url }: RequestEvent): Response | undefined {
	const { visitor: who } = locals;
	const status = refusalFor(who, request.method, url.pathname);
	if (status === undefined) return undefined;
	const isPage = !url.pathname.startsWith('/api/') && who.kind !== 'token';
	const to = encodeURIComponent(url.pathname + url.search);
	if (status === 401) {
		if (isPage) redirect(303, `/sign-in?to=${to}`);
		return refuse(401, 'sign_in', SIGN_IN);
	}
	if (isPage) redirect(303, `/sign-in?to=${to}&needs=owner`);
	const message =
		NOT_YOURS[
			who.kind === 'token' ? 'token' : who.kind === 'session' && who.role === 'viewer' ? 'viewer' : 'bench'
		];
	return refuse(403, 'not_yours', message);
}

/** An answer without its body: a stream of events that nobody reads would never end. */
async function headOf({ body, status, headers }: Response): Promise<Response> {
	await body?.cancel();
	return new Response(null, { status, headers });
}

/** An unexpected failure: logged for whoever runs the server, told briefly to whoever uses it. */
export const handleError: HandleServerError = ({ error: failure, event, status, message }) => {
	if (status === 404) return { message: "This page doesn't exist. Go back to the rack." };
	const { requestId: request = '' } = event.locals;
	failures.error(
		{ id: request, method: event.request.method, path: event.url.pathname, err: withoutStatement(failure) },
		'failed'
	);
	return {
		request,
		message:
			status < 500
				? message
				: "Something went wrong in Wendle, so it didn't do what you asked. Everything you saved before is still there. Try again."
	};
};
