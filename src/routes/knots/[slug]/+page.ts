import { findDescribed, findDrawnKnot } from '$lib/core';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url }) => {
	const knot = await findDrawnKnot(params.slug);
	if (!knot && !findDescribed(params.slug))
		error(404, "Wendle doesn't have a drawing of that knot. Go back to Knots.");
	const count = (name: string): number | undefined => {
		const value = Math.floor(Number(url.searchParams.get(name)));
		return value >= 1 ? value : undefined;
	};
	return { slug: params.slug, knot, wraps: count('wraps'), stage: count('stage') ?? 1 };
};
