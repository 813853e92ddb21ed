import { KnotList, knotList } from '$lib/server/api/knot-curves';
import { reading } from '$lib/server/http';

export const GET = reading('The knots that are drawn, with their stages', { answer: KnotList }, knotList);
