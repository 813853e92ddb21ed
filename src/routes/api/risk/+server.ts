import { answerRisk } from '$lib/server/api/ask-answer';
import { RiskRequest } from '$lib/server/api/ask';
import { answering, inTurns } from '$lib/server/http';

export const POST = answering(RiskRequest, (body) => inTurns(answerRisk(body)));
