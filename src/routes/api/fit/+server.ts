import { answerFit } from '$lib/schema/fit-answer';
import { FitRequest } from '$lib/schema/fit-api';
import { readFitRequest } from '$lib/schema/fit-read';
import { answering } from '$lib/server/http';

export const POST = answering(FitRequest, (body) => {
	const problem = readFitRequest(body);
	return problem.ok ? answerFit(problem.value) : problem;
});
