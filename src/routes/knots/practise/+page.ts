import { findDrawnKnot } from '$lib/core';
import type { PageLoad } from './$types';

/** The knot that is practised, with its curves. */
export const load: PageLoad = async ({ data }) => ({
	...data,
	knot: data.slug === undefined ? undefined : await findDrawnKnot(data.slug)
});
