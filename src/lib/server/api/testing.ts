import type { z } from 'zod';
import { answerTo, type Question } from './question';
import { body } from './wire';

/** What tests of the API ask with. */

/** Asks as the route does. */
export const ask = <Q extends z.ZodType, A extends z.ZodType>(question: Question<Q, A>, sent: unknown) =>
	answerTo(question, body(question.request).parse(sent) as never);
/** What is answered; a refusal fails the test. */
export async function told<Q extends z.ZodType, A extends z.ZodType>(
	question: Question<Q, A>,
	sent: unknown
): Promise<z.output<A>> {
	const answered = await ask(question, sent);
	if (!answered.ok) throw new Error(JSON.stringify(answered.issues));
	return question.response.parse(answered.value);
}
