import { answerEnough } from '$lib/server/api/ask-answer';
import { EnoughRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(EnoughRequest, answerEnough);
