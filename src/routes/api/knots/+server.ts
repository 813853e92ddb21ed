import { knotList } from '$lib/schema/knot-api';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => json(knotList());
