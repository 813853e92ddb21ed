import { answerMatch } from '$lib/server/api/ask-lines';
import { MatchRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(MatchRequest, answerMatch);
