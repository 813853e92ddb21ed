import { estimated } from '$lib/server/api/estimate';
import { answering } from '$lib/server/http';

export const POST = answering(estimated);
