import { answerCorrect } from '$lib/schema/ask-answer';
import { CorrectRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(CorrectRequest, answerCorrect);
