import { answerCuts } from '$lib/schema/ask-lines';
import { CutsRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(CutsRequest, answerCuts);
