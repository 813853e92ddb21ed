import { isUnreadableTable, MendText } from '$lib/inventory/unreadable';
import { acting, notFound, writing } from '$lib/server/http';
import { gone } from '$lib/server/outcome';
import { mend, setAside, unreadableText } from '$lib/server/services';
import type { RequestEvent, RequestHandler } from './$types';

/** The text as it is kept, to be looked at or put away. */
export const GET: RequestHandler = async ({ params: { table, id } }) => {
	const found = isUnreadableTable(table) ? await unreadableText(table, id) : undefined;
	if (!found) return notFound('entry');
	return new Response(found.text, {
		headers: {
			'content-type': 'application/json; charset=utf-8',
			'content-disposition': `attachment; filename="wendle-${table}.json"`
		}
	});
};

/** Keeps another text in its place. */
export const PUT = writing(
	MendText,
	async (asked, { text }, { params: { table, id } }: RequestEvent) =>
		isUnreadableTable(table) ? mend(asked, table, id, text) : gone('entry'),
	204
);

/** Takes it off. */
export const DELETE = acting(async (asked, { params: { table, id } }: RequestEvent) =>
	isUnreadableTable(table) ? setAside(asked, table, id) : gone('entry')
);
