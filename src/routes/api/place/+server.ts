import { PLACES } from '$lib/inventory/place';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { PLACE_COOKIE } from '$lib/server/place';
import { openSample, throwAwaySample } from '$lib/server/services';
import { z } from 'zod';

const COOKIE = { path: '/', httpOnly: true, sameSite: 'lax', secure: false } as const;

const GoTo = z.strictObject({
	place: z.enum(PLACES).meta({ description: 'The rack that is your own, or a sample kit room.' }),
	throwAway: z.boolean().optional().meta({ description: 'Delete the sample kit room when you leave it.' })
});

export const PUT = writing(
	{
		summary: 'Show your own rack in this browser, or a sample kit room to try everything in',
		body: GoTo,
		status: 204,
		hasOwnId: true
	},
	async (_asked, { place, throwAway = false }, { cookies }) => {
		if (place === 'sample') {
			await openSample();
			cookies.set(PLACE_COOKIE, 'sample', COOKIE);
		} else {
			cookies.delete(PLACE_COOKIE, COOKIE);
			if (throwAway) await throwAwaySample();
		}
		return done(null);
	}
);
