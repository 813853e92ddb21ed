import { answerFit } from '$lib/schema/fit-answer';
import { FitRequest } from '$lib/schema/fit-api';
import { readFitRequest } from '$lib/schema/fit-read';
import { impossible, readBody } from '$lib/server/http';
import { json, type RequestHandler } from '@sveltejs/kit';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, FitRequest);
	if (!body.ok) return body.response;
	const problem = readFitRequest(body.value);
	if (!problem.ok) return impossible(problem.issues);
	const answer = answerFit(problem.value);
	return answer.ok ? json(answer.value) : impossible(answer.issues);
};
