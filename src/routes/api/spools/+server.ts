import { spools } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = async () => json({ spools: await spools() });
