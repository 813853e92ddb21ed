import { answerRunout } from '$lib/server/api/ask-answer';
import { RunoutRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(RunoutRequest, answerRunout);
