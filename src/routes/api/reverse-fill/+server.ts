import { answerReverseFill } from '$lib/server/api/ask-answer';
import { ReverseFillRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(ReverseFillRequest, answerReverseFill);
