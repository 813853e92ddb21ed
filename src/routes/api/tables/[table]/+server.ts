import { described, fileOperation } from '$lib/server/api/operation';
import { notFound } from '$lib/server/http';
import { csvOf, isTable } from '$lib/server/services';
import { readUnits } from '$lib/ui/state/cookies';
import type { RequestEvent } from './$types';

export const GET = described(
	fileOperation(
		'Spools, strands or windings as a table for a spreadsheet; `?units=` yd-mm, yd-in or m-mm',
		'text/csv'
	),
	async ({ params: { table }, url, locals }: RequestEvent): Promise<Response> => {
		if (!isTable(table)) return notFound('table');
		const units = readUnits(url.searchParams.get('units') ?? locals.units);
		return new Response(await csvOf(table, units, locals.today), {
			headers: {
				'content-type': 'text/csv; charset=utf-8',
				'content-disposition': `attachment; filename="wendle-${table}.csv"`
			}
		});
	}
);
