import { answerRunout } from '$lib/schema/ask-answer';
import { RunoutRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(RunoutRequest, answerRunout);
