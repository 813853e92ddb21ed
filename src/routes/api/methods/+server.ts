import { answerMethods } from '$lib/schema/ask-answer';
import { MethodsRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(MethodsRequest, answerMethods);
