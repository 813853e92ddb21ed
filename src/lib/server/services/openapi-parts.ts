import { IssueList } from '$lib/server/api/fit';
import { z } from 'zod';
import type { ZodOpenApiOperationObject } from 'zod-openapi';

export const jsonOf = (schema: z.ZodType, description: string) => ({
	description,
	content: { 'application/json': { schema } }
});

export const refusals = {
	'400': jsonOf(IssueList, 'The body could not be read.'),
	'413': jsonOf(IssueList, 'The body is too large.'),
	'422': jsonOf(IssueList, 'The body has a wrong shape, or cannot be.')
};
export const stale = {
	'409': jsonOf(
		IssueList.extend({ current: z.unknown() }),
		'Somebody saved a newer version; `current` is what is there now. Or (code `write_id_used`) the id of the write was used for another one.'
	)
};
/** Sent with a write, the same each time it is tried. */
export const writeId = z.object({
	'Idempotency-Key': z
		.string()
		.regex(/^[\w-]{8,80}$/)
		.optional()
		.meta({
			description:
				'An id that you make for this write. Sent again with it, the write is answered as the first time and changes nothing; without it, a write that is sent twice is done twice.'
		})
});
export const missing = { '404': jsonOf(IssueList, 'There is no such thing (any more).') };

export const taking = (
	summary: string,
	body: z.ZodType,
	responses: ZodOpenApiOperationObject['responses']
): ZodOpenApiOperationObject => ({
	summary,
	requestBody: { required: true, content: { 'application/json': { schema: body } } },
	responses: { ...responses, ...refusals }
});

/** A write with a body, told from every other by its id. */
export const writing = (
	summary: string,
	body: z.ZodType,
	responses: ZodOpenApiOperationObject['responses'],
	path?: z.ZodObject
): ZodOpenApiOperationObject => ({
	...taking(summary, body, responses),
	requestParams: { header: writeId, ...(path && { path }) }
});

export const id = { id: z.string() };
/** Something done to one thing, without a body. */
export const acting = (summary: string): ZodOpenApiOperationObject => ({
	summary,
	requestParams: { path: z.object(id), header: writeId },
	responses: { '204': { description: 'Done.' }, ...missing }
});
