import { acting } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { PLACE_COOKIE } from '$lib/server/place';
import { openSample, throwAwaySample } from '$lib/server/services';
import type { RequestEvent } from './$types';

const COOKIE = { path: '/', httpOnly: false, sameSite: 'lax', secure: false } as const;

export const PUT = acting(
	'Open the sample kit room in this browser: from now on it shows that instead of your own rack',
	async (_asked, { cookies }: RequestEvent) => {
		await openSample();
		cookies.set(PLACE_COOKIE, 'sample', COOKIE);
		return done(null);
	}
);

export const DELETE = acting(
	'Go back to your own rack; with throw=1 the sample kit room is deleted',
	async (_asked, { cookies, url }: RequestEvent) => {
		cookies.delete(PLACE_COOKIE, COOKIE);
		if (url.searchParams.get('throw') === '1') await throwAwaySample();
		return done(null);
	}
);
