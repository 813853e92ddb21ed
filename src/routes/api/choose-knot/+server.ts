import { answerChooseKnot, ChooseKnotRequest } from '$lib/schema/knot-choose-api';
import { answering } from '$lib/server/http';

export const POST = answering(ChooseKnotRequest, answerChooseKnot);
