import type { ClientInit } from '@sveltejs/kit';

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
