import { backups, people } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:people');
	return { people: await people(), backups: (await backups()).length };
};
