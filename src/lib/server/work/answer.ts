import { toJson } from '$lib/inventory/json';
import { wordIssue } from '$lib/wording/issues';
import { answerTo } from '../api/question';
import type { QuestionName } from '../api/question-names';
import { questionAt } from '../api/questions';
import { body } from '../api/wire';

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

export interface Asked {
	readonly name: QuestionName;
	/** The body as it came. It was read once and found to have the question's shape. */
	readonly text: string;
}
export interface Worked {
	readonly status: Answer['status'];
	readonly bytes: Uint8Array<ArrayBuffer>;
	readonly tookMs: number;
}

/** The same from the body as it came, ready to go out. */
export function workOut({ name, text }: Asked, onProgress: (share: number) => void): Worked {
	const started = performance.now();
	const { status, json } = answerOf(name, body(questionAt(name).request).parse(JSON.parse(text)), onProgress);
	return { status, bytes: new TextEncoder().encode(json), tookMs: performance.now() - started };
}
