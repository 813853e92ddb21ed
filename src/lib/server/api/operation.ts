import { z } from 'zod';
import type { ZodOpenApiOperationObject } from 'zod-openapi';
import { IssueList } from './fit';
import type { Question } from './question';

/** What the routes of the API say of themselves: the document is put together from it. */

/** A route's handler with what it does. */
export type Described<H> = H & { readonly operation: ZodOpenApiOperationObject };
export const described = <H extends (event: never) => unknown>(
	operation: ZodOpenApiOperationObject,
	handler: H
): Described<H> => Object.assign(handler, { operation });

const jsonOf = (schema: z.ZodType, description: string) => ({
	description,
	content: { 'application/json': { schema } }
});

const REFUSALS = {
	'400': jsonOf(IssueList, 'The body could not be read.'),
	'413': jsonOf(IssueList, 'The body is too large.'),
	'422': jsonOf(IssueList, "The body has the wrong shape, or describes something that can't be.")
};
const MISSING = { '404': jsonOf(IssueList, 'There is no such thing, or it was removed.') };
const STALE = {
	'409': jsonOf(
		IssueList.extend({ current: z.unknown() }),
		'Somebody saved a newer version; `current` is what is there now. Or (code `write_id_used`) the id of the write was used for another one.'
	)
};

/** Sent with a write, the same each time it is tried. */
const writeId = z.object({
	'Idempotency-Key': z
		.string()
		.regex(/^[\w-]{8,80}$/)
		.optional()
		.meta({
			description:
				'An id that you make for this write. If you send the write again with the same id, you get the first answer again and nothing changes. Without an id, a write that you send twice is done twice.'
		})
});

const taking = (body: z.ZodType) => ({
	required: true,
	content: { 'application/json': { schema: body } }
});

export const questionOperation = ({ summary, request, response }: Question): ZodOpenApiOperationObject => ({
	summary,
	requestBody: taking(request),
	responses: {
		'200': {
			description:
				'The answer. Asked for with Accept: text/event-stream: the events progress (share, 0 to 1) and then answer, refused or failed.',
			content: { 'application/json': { schema: response }, 'text/event-stream': {} }
		},
		...REFUSALS,
		'429': jsonOf(IssueList, 'Too much work for one client. Ask again after Retry-After seconds.')
	}
});

/** A write with a body: what it does, what it takes, what it answers. */
export interface WriteOf<S extends z.ZodType> {
	readonly summary: string;
	readonly body: S;
	/** 204 where there is nothing to answer. */
	readonly answer?: z.ZodType;
	readonly status?: 200 | 201 | 204;
	/** What is written has an id of its own in the body or the address, and so needs none beside it. */
	readonly hasOwnId?: boolean;
}

export function writeOperation({
	summary,
	body,
	answer,
	status = 200,
	hasOwnId = false
}: WriteOf<z.ZodType>): ZodOpenApiOperationObject {
	const answered = answer ? jsonOf(answer, 'Done.') : { description: 'Done.' };
	return {
		summary,
		requestBody: taking(body),
		...(!hasOwnId && { requestParams: { header: writeId } }),
		responses: { [status]: answered, ...MISSING, ...(!hasOwnId && STALE), ...REFUSALS }
	};
}

export const actOperation = (summary: string, query?: z.ZodObject): ZodOpenApiOperationObject => ({
	summary,
	requestParams: { header: writeId, ...(query && { query }) },
	responses: { '204': { description: 'Done.' }, ...MISSING, ...STALE }
});

/** What is read: the shape of the answer, what may be asked beside the address, and what is missing where it is not there. */
export interface ReadOf {
	readonly answer?: z.ZodType | undefined;
	readonly query?: z.ZodObject | undefined;
	readonly what?: string | undefined;
}

export const readOperation = (summary: string, { answer, query }: ReadOf): ZodOpenApiOperationObject => ({
	summary,
	...(query && { requestParams: { query } }),
	responses: {
		'200': answer ? jsonOf(answer, 'What is there.') : { description: 'What is there.' },
		...MISSING
	}
});

/** Something other than JSON that is read. */
export const fileOperation = (summary: string, type: string): ZodOpenApiOperationObject => ({
	summary,
	responses: { '200': { description: 'The file.', content: { [type]: {} } }, ...MISSING }
});

/** A file that is kept under an id of the sender. */
export const keepOperation = (summary: string, type: string): ZodOpenApiOperationObject => ({
	summary,
	requestBody: { required: true, content: { [type]: {} } },
	responses: { '204': { description: 'Stored, now or before.' }, ...REFUSALS }
});
