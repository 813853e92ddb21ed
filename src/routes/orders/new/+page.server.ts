import { spools } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({
	spools: (await spools()).map(({ id, form: { name, hand } }) => ({ id, name, hand }))
});
