import { situationOf } from '$lib/ui/state/knot-question';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ url }) => ({ situation: situationOf(url.searchParams) });
