import { described, fileOperation } from '$lib/server/api/operation';
import { notFound } from '$lib/server/http';
import { backupPath } from '$lib/server/services';
import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import type { RequestEvent } from './$types';

const TYPE = 'application/vnd.sqlite3';

export const GET = described(
	fileOperation('A backup, to keep elsewhere', TYPE),
	async ({ params }: RequestEvent) => {
		const path = await backupPath(params.name);
		if (path === undefined) return notFound('backup');
		return new Response(Readable.toWeb(createReadStream(path)) as ReadableStream, {
			headers: { 'content-type': TYPE, 'content-disposition': `attachment; filename="${params.name}"` }
		});
	}
);
