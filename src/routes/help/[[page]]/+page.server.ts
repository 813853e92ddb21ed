import { GUIDE } from '$lib/server/guide';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const page = params.page === undefined ? GUIDE[0] : GUIDE.find(({ slug }) => slug === params.page);
	if (!page) error(404, "Help doesn't have that page. Choose one from the list on Help.");
	return { page, pages: GUIDE.map(({ slug, title }) => ({ slug, title })) };
};
