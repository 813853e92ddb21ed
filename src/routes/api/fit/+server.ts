import { fit } from '$lib/server/api/answers';
import { answering } from '$lib/server/http';

export const POST = answering(fit);
