import { find } from '$lib/server/services';
import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** A code that one thing has leads straight to it. */
export const load: PageServerLoad = async ({ url }) => {
	const sought = url.searchParams.get('q') ?? '';
	const { found, byCode } = await find(sought);
	if (byCode && found.length === 1) redirect(303, found[0]!.href);
	return { sought, found };
};
