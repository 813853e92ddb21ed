import { swapChoice } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The strands on a spool and those that could go on it: `?spool=`. */
export const load: PageServerLoad = async ({ url }) => {
	const choice = await swapChoice(url.searchParams.get('spool') ?? '');
	if (!choice) error(404, 'Nothing is wound on that spool yet. Set it up first.');
	return { choice };
};
