import { answerFit } from '$lib/server/api/fit-answer';
import { FitRequest } from '$lib/server/api/fit';
import { readFitRequest } from '$lib/server/api/fit-read';
import { answering } from '$lib/server/http';

export const POST = answering(FitRequest, (body) => {
	const problem = readFitRequest(body);
	return problem.ok ? answerFit(problem.value) : problem;
});
