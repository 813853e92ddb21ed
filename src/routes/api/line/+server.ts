import { answerLine } from '$lib/server/api/ask-lines';
import { LineRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(LineRequest, answerLine);
