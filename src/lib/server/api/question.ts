import { ok, type Path, type Result } from '$lib/core';
import { z } from 'zod';
import { answer, type FromMm, type InMm } from './wire';

type Answered<A extends z.ZodType> = Result<FromMm<z.output<A>>>;

/**
 * Something that can be asked of the API: its shapes, and how it is answered. Answered at once, or batch by batch, so that
 * others are let in between. Issues carry paths into what was asked, with its lengths in millimetres.
 */
export interface Question<Q extends z.ZodType = z.ZodType, A extends z.ZodType = z.ZodType> {
	readonly summary: string;
	readonly request: Q;
	readonly response: A;
	readonly answer: (asked: InMm<z.output<Q>>) => Answered<A> | Generator<unknown, Answered<A>>;
}

export const question = <Q extends z.ZodType, A extends z.ZodType>(
	summary: string,
	request: Q,
	response: A,
	answer: Question<Q, A>['answer']
): Question<Q, A> => ({ summary, request, response, answer });

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

/** Runs a long computation batch by batch, letting other requests in between. */
async function runInBatches<T>(running: Generator<unknown, T>): Promise<T> {
	for (;;) {
		const step = running.next();
		if (step.done) return step.value;
		await yieldBetweenBatches();
	}
}
const yieldBetweenBatches = (): Promise<void> => new Promise((resume) => setImmediate(resume));

/** A question answered: in the shape that is promised, or with issues at the places of what was sent. */
export async function answerTo<Q extends z.ZodType, A extends z.ZodType>(
	{ request, response, answer: work }: Question<Q, A>,
	asked: InMm<z.output<Q>>
): Promise<Result<z.input<A>>> {
	const working = work(asked);
	const result = 'next' in working ? await runInBatches(working) : working;
	if (result.ok) return ok(z.encode(answer(response), result.value as never));
	return {
		ok: false,
		issues: result.issues.map((issue) => ({ ...issue, path: wirePath(request, issue.path) }))
	};
}
