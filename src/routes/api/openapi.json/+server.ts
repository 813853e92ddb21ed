import { openApiDocument } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = () => json(openApiDocument());
