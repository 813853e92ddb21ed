import { findDrawnKnot } from '$lib/core';

/**
 * Fetches knots, and what shows them, before they are looked at, since the server may be away by then. Whether all of
 * it has come.
 */
export async function fetchKnots(
	slugs: readonly string[],
	shownBy: () => Promise<unknown>
): Promise<boolean> {
	if (slugs.length === 0) return true;
	const fetched = await Promise.allSettled([shownBy(), ...slugs.map(findDrawnKnot)]);
	return fetched.every(({ status }) => status === 'fulfilled');
}
