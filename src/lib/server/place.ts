import { isThere, type Place } from './db';

/** Which place a browser is in. Pages read it too: a page of one place must not write into the other. */
export const PLACE_COOKIE = 'wendle-place';
/** Sent by a page with what it asks: the place that the page belongs to. */
const PLACE_HEADER = 'wendle-place';

/** The place of a request; a sample that was thrown away is nobody's place any more. */
export const placeOf = (cookie: string | undefined): Place =>
	cookie === 'sample' && isThere('sample') ? 'sample' : 'own';

/**
 * The refusal of what a page of one place sends to the other, since another window moved the browser there meanwhile. A 503:
 * the page keeps what it sent, and sends it again once the browser is back.
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
