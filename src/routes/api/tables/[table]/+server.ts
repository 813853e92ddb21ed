import { described, fileOperation } from '$lib/server/api/operation';
import { notFound } from '$lib/server/http';
import { csvOf, isTable, spreadsheetOf } from '$lib/server/services';
import { readUnits } from '$lib/ui/state/cookies';
import type { RequestEvent } from './$types';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const fileOf = (content: BodyInit, type: string, name: string): Response =>
	new Response(content, {
		headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` }
	});

export const GET = described(
	fileOperation(
		'Spools, strands, windings, readings, care-events, orders, stock or stock-events as a table; `?units=` yd-mm, yd-in or m-mm, `?as=` csv or xlsx',
		'text/csv'
	),
	async ({ params: { table }, url, locals }: RequestEvent): Promise<Response> => {
		if (!isTable(table)) return notFound('table');
		const units = readUnits(url.searchParams.get('units') ?? locals.units);
		const asked = [table, units, locals.today] as const;
		return url.searchParams.get('as') === 'xlsx'
			? fileOf(await spreadsheetOf(...asked), XLSX, `wendle-${table}.xlsx`)
			: fileOf(await csvOf(...asked), 'text/csv; charset=utf-8', `wendle-${table}.csv`);
	}
);
