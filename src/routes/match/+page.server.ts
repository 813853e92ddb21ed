import { matchable } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => matchable();
