import { answerReverseFill } from '$lib/schema/ask-answer';
import { ReverseFillRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(ReverseFillRequest, answerReverseFill);
