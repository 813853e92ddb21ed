import { authority } from '$lib/server/access/authority';
import { addressFor } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	if (authority() === undefined)
		error(404, 'This Wendle makes no certificate of its own. Start it with: npm start -- --https');
	const { origin, loopback, guess } = await addressFor(url);
	// A phone cannot open what only this computer can.
	return { address: loopback ? guess : origin };
};
