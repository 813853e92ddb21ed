import { answerSharedBacking } from '$lib/schema/ask-lines';
import { SharedBackingRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(SharedBackingRequest, answerSharedBacking);
