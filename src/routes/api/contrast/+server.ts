import { contrast } from '$lib/server/api/line-answers';
import { answering } from '$lib/server/http';

export const POST = answering(contrast);
