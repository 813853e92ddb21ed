import { answerMethods } from '$lib/server/api/ask-answer';
import { MethodsRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(MethodsRequest, answerMethods);
