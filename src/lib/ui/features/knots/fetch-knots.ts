import { findDrawnKnot } from '$lib/core';

/** Fetches knots before they are looked at, since the server may be away by then. Whether all of them have come. */
export async function fetchKnots(slugs: readonly string[]): Promise<boolean> {
	const fetched = await Promise.allSettled(slugs.map(findDrawnKnot));
	return fetched.every(({ status }) => status === 'fulfilled');
}
