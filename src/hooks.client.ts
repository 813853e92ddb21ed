import { isThere } from '$lib/ui/state/api';
import type { ClientInit, HandleClientError } from '@sveltejs/kit';

/** Longest that is waited for a page to be seen, ms. */
const MOST_MS = 400;

/** The page is shown as the server drew it before the work of making it answer begins. What is hidden draws nothing. */
export const init: ClientInit = () =>
	new Promise<void>((goOn) => {
		if (document.hidden || !PerformanceObserver.supportedEntryTypes.includes('paint')) return goOn();
		setTimeout(goOn, MOST_MS);
		new PerformanceObserver((_, observer) => {
			observer.disconnect();
			goOn();
		}).observe({ type: 'paint', buffered: true });
	});

/** What browsers say when the code of a page did not come. */
const NO_CODE = /dynamically imported module|importing a module script failed/i;

/**
 * Code that did not come once, because the server was away when a link was pointed at, a browser does not ask for again: once the
 * server is back the page is loaded anew.
 */
export const handleError: HandleClientError = async ({ error, event }) => {
	if (error instanceof Error && NO_CODE.test(error.message) && (await isThere())) location.assign(event.url);
};
