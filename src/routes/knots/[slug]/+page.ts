import { findKnot } from '$lib/core';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params, url }) => {
	if (!findKnot(params.slug)) error(404, 'That knot is not drawn here (yet).');
	const wraps = Number(url.searchParams.get('wraps'));
	return { slug: params.slug, wraps: wraps > 0 ? wraps : undefined };
};
