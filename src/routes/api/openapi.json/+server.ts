import { openApiDocument } from '$lib/server/api/openapi';
import { json, type RequestHandler } from '@sveltejs/kit';

/** Every route that can be asked, this one apart. */
const ROUTES = import.meta.glob<Record<string, unknown>>(
	['/src/routes/**/+server.ts', '!/src/routes/api/openapi.json/+server.ts'],
	{ eager: true }
);

export const GET: RequestHandler = () => json(openApiDocument(ROUTES));
