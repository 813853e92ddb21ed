import { isUnreadableTable } from '$lib/inventory/unreadable';
import { unreadableText } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params: { table, id } }) => {
	const found = isUnreadableTable(table) ? await unreadableText(table, id) : undefined;
	if (!found) error(404, "Wendle couldn't find that entry.");
	return { entry: found };
};
