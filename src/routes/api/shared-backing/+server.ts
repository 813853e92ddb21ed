import { answerSharedBacking } from '$lib/server/api/ask-lines';
import { SharedBackingRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(SharedBackingRequest, answerSharedBacking);
