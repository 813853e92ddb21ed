import { answerTwist, TwistRequest } from '$lib/schema/twist-api';
import { answering } from '$lib/server/http';

export const POST = answering(TwistRequest, answerTwist);
