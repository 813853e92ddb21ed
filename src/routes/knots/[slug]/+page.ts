import { findDescribed, findKnot } from '$lib/core';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params, url }) => {
	if (!findKnot(params.slug) && !findDescribed(params.slug))
		error(404, "Wendle doesn't have a drawing of that knot. Go back to Knots.");
	const count = (name: string): number | undefined => {
		const value = Math.floor(Number(url.searchParams.get(name)));
		return value >= 1 ? value : undefined;
	};
	return { slug: params.slug, wraps: count('wraps'), stage: count('stage') ?? 1 };
};
