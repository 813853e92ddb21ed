import { ended, ok, type Path, type Result } from '$lib/core';
import { z } from 'zod';
import { answer, type FromMm, type InMm } from './wire';

type Answered<A extends z.ZodType> = Result<FromMm<z.output<A>>>;

/** The work that an answer takes, ms of one core of the machine that the figures were measured on. */
export type Cost<Q extends z.ZodType> = (asked: InMm<z.output<Q>>) => number;

/**
 * Something that can be asked of the API: its shapes, how it is answered, and the work that takes. Answered at once, or step by
 * step, with the share that is done at each. Issues carry paths into what was asked, with its lengths in millimetres.
 */
export interface Question<Q extends z.ZodType = z.ZodType, A extends z.ZodType = z.ZodType> {
	readonly summary: string;
	readonly request: Q;
	readonly response: A;
	readonly answer: (asked: InMm<z.output<Q>>) => Answered<A> | Generator<number, Answered<A>>;
	readonly costMs: Cost<Q>;
}

export const question = <Q extends z.ZodType, A extends z.ZodType>(
	summary: string,
	request: Q,
	response: A,
	answer: Question<Q, A>['answer'],
	costMs: Cost<Q> = () => 1
): Question<Q, A> => ({ summary, request, response, answer, costMs });

/** Where in a body of a shape a path inside lies: lengths are in metres there. */
function wirePath(shape: z.core.$ZodType, [key, ...rest]: Path): Path {
	if (key === undefined) return [];
	if (shape instanceof z.ZodOptional) return wirePath(shape.unwrap(), [key, ...rest]);
	if (shape instanceof z.ZodArray) return [key, ...wirePath(shape.element, rest)];
	if (!(shape instanceof z.ZodObject)) return [key, ...rest];
	const inMetres = String(key).replace(/Mm$/, 'M');
	const sent = key in shape.shape || !(inMetres in shape.shape) ? key : inMetres;
	const inner = shape.shape[sent];
	return [sent, ...(inner ? wirePath(inner, rest) : rest)];
}

/**
 * A question answered: in the shape that is promised, or with issues at the places of what was sent.
 *
 * @param onProgress told the share of the work that is done, 0 to 1, where the work goes step by step
 */
export function answerTo<Q extends z.ZodType, A extends z.ZodType>(
	{ request, response, answer: work }: Question<Q, A>,
	asked: InMm<z.output<Q>>,
	onProgress: (share: number) => void = () => undefined
): Result<z.input<A>> {
	const working = work(asked);
	const result = 'next' in working ? ended(working, onProgress) : working;
	if (result.ok) return ok(z.encode(answer(response), result.value as never));
	return {
		ok: false,
		issues: result.issues.map((issue) => ({ ...issue, path: wirePath(request, issue.path) }))
	};
}
