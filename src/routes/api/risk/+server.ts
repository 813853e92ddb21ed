import { answerRisk } from '$lib/schema/ask-answer';
import { RiskRequest } from '$lib/schema/ask-api';
import { answering, inTurns } from '$lib/server/http';

export const POST = answering(RiskRequest, (body) => inTurns(answerRisk(body)));
