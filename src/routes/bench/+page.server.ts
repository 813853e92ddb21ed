import { rack } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ rack: await rack() });
