import { toJson } from '$lib/inventory/json';
import { wordIssue } from '$lib/wording/issues';
import { answerTo } from '../api/question';
import { questionAt, type QuestionName } from '../api/questions';

/** An answer as it goes out. */
export interface Answer {
	readonly status: 200 | 422;
	readonly json: string;
}

/** What a question comes to. @param asked as the question's shape reads it */
export function answerOf(name: QuestionName, asked: unknown, onProgress?: (share: number) => void): Answer {
	const result = answerTo(questionAt(name), asked as never, onProgress);
	return result.ok
		? { status: 200, json: toJson(result.value) }
		: { status: 422, json: toJson({ issues: result.issues.map((issue) => wordIssue(issue)) }) };
}
