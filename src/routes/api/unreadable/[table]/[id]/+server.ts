import { isUnreadableTable } from '$lib/inventory/unreadable';
import { described, fileOperation } from '$lib/server/api/operation';
import { acting, notFound, writing } from '$lib/server/http';
import { gone } from '$lib/server/outcome';
import { mend, setAside, unreadableText } from '$lib/server/services';
import { z } from 'zod';
import type { RequestEvent } from './$types';

const MendText = z
	.strictObject({ text: z.string().max(200_000).meta({ description: 'The text to keep in its place.' }) })
	.meta({ id: 'MendText' });

export const GET = described(
	fileOperation("The text of an entry that Wendle can't read", 'application/json'),
	async ({ params: { table, id } }: RequestEvent): Promise<Response> => {
		const found = isUnreadableTable(table) ? await unreadableText(table, id) : undefined;
		if (!found) return notFound('entry');
		return new Response(found.text, {
			headers: {
				'content-type': 'application/json; charset=utf-8',
				'content-disposition': `attachment; filename="wendle-${table}.json"`
			}
		});
	}
);

export const PUT = writing(
	{ summary: 'Replace the text, if Wendle can read the new one', body: MendText, status: 204 },
	async (asked, { text }, { params: { table, id } }: RequestEvent) =>
		isUnreadableTable(table) ? mend(asked, table, id, text) : gone('entry')
);

export const DELETE = acting('Take it off', async (asked, { params: { table, id } }: RequestEvent) =>
	isUnreadableTable(table) ? setAside(asked, table, id) : gone('entry')
);
