import { answerHalfFit } from '$lib/server/api/ask-answer';
import { HalfFitRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(HalfFitRequest, answerHalfFit);
