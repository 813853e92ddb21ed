import { isUnreadableTable } from '$lib/inventory/unreadable';
import { acting } from '$lib/server/http';
import { gone } from '$lib/server/outcome';
import { restoreFormer } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting(
	'Restore the newest earlier version that Wendle can read',
	async (asked, { params: { table, id } }: RequestEvent) =>
		isUnreadableTable(table) ? restoreFormer(asked, table, id) : gone('entry')
);
