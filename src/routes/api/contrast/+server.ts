import { answerContrast } from '$lib/server/api/ask-lines';
import { ContrastRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(ContrastRequest, answerContrast);
