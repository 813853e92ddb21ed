import { knotList } from '$lib/server/api/knot-curves';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => json(knotList());
