import { findKnot } from '$lib/core';
import { practice } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** What is due, and what is practised now: `?knot=`; chance can be fixed with `?seed=`. */
export const load: PageServerLoad = async ({ url, locals }) => {
	const asked = url.searchParams.get('knot') ?? '';
	const seed = Math.floor(Number(url.searchParams.get('seed')));
	return {
		practice: await practice(new Date(), locals.zone),
		now: Date.now(),
		slug: findKnot(asked) ? asked : undefined,
		seed: seed >= 1 ? seed : Math.floor(Math.random() * 1e9)
	};
};
