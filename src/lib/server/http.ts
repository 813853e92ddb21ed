import type { Issue } from '$lib/core';
import { wordIssue, wordShape, type WordedIssue } from '$lib/schema/words';
import type { z } from 'zod';

/** Largest request body taken, bytes: a set-up is a few kilobytes. */
const MAX_BODY_BYTES = 256 * 1024;

export const issueResponse = (status: 400 | 404 | 413 | 422, issues: WordedIssue[]): Response =>
	Response.json({ issues }, { status });

const one = (status: 400 | 404 | 413, code: string, message: string): Response =>
	issueResponse(status, [{ code, path: [], message }]);

export const notFound = (what: string): Response =>
	one(404, 'not_found', `There is no such ${what} (any more). Go back to the rack and choose again.`);

export const impossible = (issues: readonly Issue[]): Response => issueResponse(422, issues.map(wordIssue));

/** The body as text, or undefined as soon as it proves too large. */
async function readBounded(request: Request): Promise<string | undefined> {
	if (Number(request.headers.get('content-length') ?? 0) > MAX_BODY_BYTES) return undefined;
	if (!request.body) return '';
	const decoder = new TextDecoder();
	let [text, bytes] = ['', 0];
	for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
		bytes += chunk.byteLength;
		if (bytes > MAX_BODY_BYTES) return undefined;
		text += decoder.decode(chunk, { stream: true });
	}
	return text + decoder.decode();
}

export type Body<T> = { ok: true; value: T } | { ok: false; response: Response };

/** Reads and checks a JSON body. What cannot be read is a 400, too much a 413, a wrong shape a 422. */
export async function readBody<S extends z.ZodType>(request: Request, shape: S): Promise<Body<z.output<S>>> {
	const no = (response: Response): Body<z.output<S>> => ({ ok: false, response });
	if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? ''))
		return no(one(400, 'not_json', 'Send JSON, with Content-Type: application/json.'));
	const text = await readBounded(request);
	if (text === undefined)
		return no(one(413, 'too_large', `Send at most ${MAX_BODY_BYTES / 1024} kB: a set-up is a few of them.`));
	let body: unknown;
	try {
		body = JSON.parse(text);
	} catch {
		return no(
			one(
				400,
				'not_json',
				'The body is not JSON: check brackets, quotes and commas. NaN is not a number there.'
			)
		);
	}
	const parsed = shape.safeParse(body);
	return parsed.success ? { ok: true, value: parsed.data } : no(issueResponse(422, wordShape(parsed.error)));
}
