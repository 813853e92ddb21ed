import { answerLine } from '$lib/schema/ask-lines';
import { LineRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(LineRequest, answerLine);
