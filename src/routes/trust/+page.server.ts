import { authority } from '$lib/server/access/authority';
import { addressFor } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	if (authority() === undefined)
		error(404, 'This Wendle makes no certificate of its own. Start it with: npm start -- --https');
	return { address: url.protocol === 'https:' ? url.origin : (await addressFor(url)).origin };
};
