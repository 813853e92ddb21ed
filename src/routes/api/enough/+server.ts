import { answerEnough } from '$lib/schema/ask-answer';
import { EnoughRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(EnoughRequest, answerEnough);
