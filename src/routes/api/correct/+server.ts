import { answerCorrect } from '$lib/server/api/ask-answer';
import { CorrectRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(CorrectRequest, answerCorrect);
