import { answerHalfFit } from '$lib/schema/ask-answer';
import { HalfFitRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(HalfFitRequest, answerHalfFit);
