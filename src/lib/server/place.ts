import { PLACE_HEADER, type Place } from '$lib/inventory/place';
import { isThere } from './db';

/** Which place a browser is in. */
export const PLACE_COOKIE = 'wendle-place';

/** The place of a request. A browser whose sample was thrown away is back in the person's own. */
export const placeOf = (cookie: string | undefined): Place =>
	cookie === 'sample' && isThere('sample') ? 'sample' : 'own';

/**
 * Refuses what a page of one place sends while another window has moved the browser to the other place. A 503, so that the
 * page keeps what it sent, and sends it again once the browser is back.
 */
export function refuseFromElsewhere(headers: Headers, place: Place): Response | undefined {
	const sent = headers.get(PLACE_HEADER);
	if (sent === null || sent === place) return undefined;
	const message =
		sent === 'own'
			? 'You opened the sample kit room in another window, so this page cannot save. Go back to your own rack there, then try again.'
			: 'You left the sample kit room in another window, so this page cannot save. Reload this page to go on with your own rack.';
	return Response.json({ message }, { status: 503 });
}
