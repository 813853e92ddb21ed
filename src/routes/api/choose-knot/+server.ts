import { knotFor } from '$lib/server/api/choose-knot';
import { answering } from '$lib/server/http';

export const POST = answering(knotFor);
