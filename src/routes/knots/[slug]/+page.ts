import { findDescribed, findKnot } from '$lib/core';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params, url }) => {
	if (!findKnot(params.slug) && !findDescribed(params.slug)) error(404, 'That knot is not drawn here (yet).');
	const count = (name: string): number | undefined => {
		const value = Math.floor(Number(url.searchParams.get(name)));
		return value >= 1 ? value : undefined;
	};
	return { slug: params.slug, wraps: count('wraps'), stage: count('stage') ?? 1 };
};
