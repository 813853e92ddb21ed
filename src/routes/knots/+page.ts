import { situationOf } from '$lib/schema/knot-situation';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ url }) => ({ situation: situationOf(url.searchParams) });
