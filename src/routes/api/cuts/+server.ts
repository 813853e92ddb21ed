import { answerCuts } from '$lib/server/api/ask-lines';
import { CutsRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(CutsRequest, answerCuts);
