import { answerMatch } from '$lib/schema/ask-lines';
import { MatchRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(MatchRequest, answerMatch);
