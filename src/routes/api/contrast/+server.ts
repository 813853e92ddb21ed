import { answerContrast } from '$lib/schema/ask-lines';
import { ContrastRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(ContrastRequest, answerContrast);
