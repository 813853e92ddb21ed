import { toJson } from '$lib/inventory/json';
import { wordShape, type WordedIssue } from '$lib/wording/issues';
import type { RequestEvent } from '@sveltejs/kit';
import { createHash, randomUUID } from 'node:crypto';
import type { z } from 'zod';
import {
	actOperation,
	described,
	readOperation,
	writeOperation,
	type ReadOf,
	type WriteOf
} from './api/operation';
import { PAGE_QUERY, type PageAsked } from './api/page';
import type { WriteId } from './db/write';
import { openStreams } from './metrics';
import type { Outcome } from './outcome';

/** Largest request body taken, bytes: a set-up is a few kilobytes. */
const MAX_BODY_BYTES = 256 * 1024;
/** Largest photo taken, bytes: the browser makes them smaller than this first. */
const MAX_PHOTO_BYTES = 400 * 1024;

/** An answer as JSON, its days as they are sent. */
export const respond = (value: unknown, status = 200): Response =>
	new Response(toJson(value), { status, headers: { 'content-type': 'application/json' } });

/** An answer that is read, with a tag: whoever has it already is told so (304), and gets nothing sent. */
function respondUnlessKnown(request: Request, value: unknown): Response {
	const text = toJson(value);
	const etag = `"${createHash('sha256').update(text).digest('base64url')}"`;
	return request.headers.get('if-none-match') === etag
		? new Response(null, { status: 304, headers: { etag } })
		: new Response(text, { headers: { 'content-type': 'application/json', etag } });
}

type RefusalStatus = 400 | 401 | 403 | 404 | 409 | 413 | 422 | 429;

export const issueResponse = (
	status: RefusalStatus,
	issues: readonly WordedIssue[],
	more: Readonly<Record<string, unknown>> = {}
): Response => respond({ issues, ...more }, status);

const HEARTBEAT_MS = 20_000;

/** Streams that are open: a polite stop of the server ends them, or it would wait for them. */
const streams = new Set<() => void>();
/** Ends all streams. Whoever still may listens again at once; whoever may not any more is told so then. */
export const endStreams = (): void => streams.forEach((end) => end());
process.once('SIGTERM', endStreams);
process.once('SIGINT', endStreams);

/**
 * Server-sent events: `open` is given a way to send a message (its number or its name, and data as JSON) and one to end the stream, and
 * returns what to do at the end. A comment now and then keeps the line open.
 */
export function eventStream(
	open: (send: (mark: number | string, data: unknown) => void, end: () => void) => () => void
): Response {
	const encoder = new TextEncoder();
	let end = (): void => undefined;
	let listening = true;
	const body = new ReadableStream<Uint8Array>({
		start(controller) {
			// A reader may leave while something is being fetched for it: what comes then goes nowhere.
			const write = (text: string): void => {
				if (listening) controller.enqueue(encoder.encode(text));
			};
			const close = open(
				(mark, data) =>
					write(`${typeof mark === 'number' ? 'id' : 'event'}: ${mark}\ndata: ${JSON.stringify(data)}\n\n`),
				() => end()
			);
			const beat = setInterval(() => write(': still here\n\n'), HEARTBEAT_MS);
			end = () => {
				if (!listening) return;
				listening = false;
				clearInterval(beat);
				close();
				if (streams.delete(end)) controller.close();
				openStreams.set(streams.size);
			};
			streams.add(end);
			openStreams.set(streams.size);
			write(': open\n\n');
		},
		cancel() {
			streams.delete(end);
			end();
		}
	});
	return new Response(body, {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
}

export const refuse = (
	status: RefusalStatus,
	code: string,
	message: string,
	more?: Readonly<Record<string, unknown>>
): Response => issueResponse(status, [{ code, path: [], message }], more);

export const notFound = (what: string): Response =>
	refuse(
		404,
		'not_found',
		`There is no such ${what}, or it was removed. Go back to the rack and choose again.`
	);

/**
 * The body, or undefined when it proves too large. What is too much is still read, and dropped: closing on a
 * sender in mid-sentence would lose it the answer. The adapter ends a body for good at its own, higher limit,
 * with an error here.
 */
async function readBounded(request: Request, limit: number): Promise<Uint8Array<ArrayBuffer> | undefined> {
	if (Number(request.headers.get('content-length') ?? 0) > limit) return undefined;
	if (!request.body) return new Uint8Array();
	const reader = (request.body as ReadableStream<Uint8Array<ArrayBuffer>>).getReader();
	const parts: Uint8Array<ArrayBuffer>[] = [];
	let bytes = 0;
	try {
		for (let read = await reader.read(); !read.done; read = await reader.read()) {
			bytes += read.value.byteLength;
			if (bytes <= limit) parts.push(read.value);
		}
	} catch {
		return undefined;
	}
	return bytes > limit ? undefined : new Uint8Array(await new Blob(parts).arrayBuffer());
}

/** The bytes of a photo; undefined when they are too many. */
export const readBytes = (request: Request): Promise<Uint8Array<ArrayBuffer> | undefined> =>
	readBounded(request, MAX_PHOTO_BYTES);

export type Body<T> = { ok: true; value: T } | { ok: false; response: Response };

/** The text of a JSON body. What cannot be read is a 400, too much a 413. */
export async function readText(request: Request): Promise<Body<string>> {
	const no = (response: Response): Body<string> => ({ ok: false, response });
	if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? ''))
		return no(refuse(400, 'not_json', 'Send JSON, with Content-Type: application/json.'));
	const bytes = await readBounded(request, MAX_BODY_BYTES);
	return bytes
		? { ok: true, value: new TextDecoder().decode(bytes) }
		: no(refuse(413, 'too_large', `Send at most ${MAX_BODY_BYTES / 1024} kB: a set-up is a few of them.`));
}

/** A body of a shape. What is not JSON is a 400, a wrong shape a 422. */
export function parseBody<S extends z.ZodType>(text: string, shape: S): Body<z.output<S>> {
	const no = (response: Response): Body<z.output<S>> => ({ ok: false, response });
	let body: unknown;
	try {
		body = JSON.parse(text);
	} catch {
		return no(
			refuse(400, 'not_json', "The body isn't JSON. Check brackets, quotes and commas. JSON has no NaN.")
		);
	}
	const parsed = shape.safeParse(body);
	return parsed.success ? { ok: true, value: parsed.data } : no(issueResponse(422, wordShape(parsed.error)));
}

/** The header with the id of a write, made by whoever sends it: the same for each try of the same write. */
export const WRITE_ID_HEADER = 'idempotency-key';
const WRITE_ID = /^[\w-]{8,80}$/;

/** The id of a write, with a digest of what is asked; undefined for an id that cannot be one. */
function writeIdOf(
	{ request, url }: Pick<RequestEvent, 'request' | 'url'>,
	body: string
): WriteId | undefined {
	const sent = request.headers.get(WRITE_ID_HEADER);
	// Whoever sends none cannot send it again either.
	if (sent === null) return { id: randomUUID() };
	const digest = createHash('sha256')
		.update(`${request.method} ${url.pathname}${url.search}\n${body}`)
		.digest('base64url');
	return WRITE_ID.test(sent) ? { id: sent, digest } : undefined;
}

const BAD_WRITE_ID =
	'Give the write an id of 8 to 80 letters, digits and dashes, in the header Idempotency-Key.';

/** What a write came to: its answer with this status (204 has none), or the refusal. */
export function answered<T>(outcome: Outcome<T>, status: 200 | 201 | 204 = 200): Response {
	if (outcome.ok) return status === 204 ? new Response(null, { status }) : respond(outcome.value, status);
	const { refusal } = outcome;
	switch (refusal.kind) {
		case 'gone':
			return notFound(refusal.what);
		case 'stale':
			return refuse(409, 'stale', 'Somebody saved a newer version meanwhile. Look at it, then save again.', {
				current: refusal.current
			});
		case 'bad':
			return issueResponse(422, refusal.issues);
		case 'used':
			return refuse(409, 'write_id_used', 'This write id was used before, for something else.', {
				answer: refusal.answer
			});
	}
}

/** A route that writes what its JSON body says, under the id that came with it. */
export const writing = <S extends z.ZodType, E extends RequestEvent, T>(
	written: WriteOf<S>,
	act: (asked: WriteId, body: z.output<S>, event: E) => Promise<Outcome<T>>
) =>
	described(writeOperation(written), async (event: E): Promise<Response> => {
		const text = await readText(event.request);
		if (!text.ok) return text.response;
		const read = parseBody(text.value, written.body);
		if (!read.ok) return read.response;
		const asked = writeIdOf(event, text.value);
		if (!asked) return refuse(400, 'bad_id', BAD_WRITE_ID);
		const outcome = await act(asked, read.value, event);
		if (outcome.ok) event.locals.did = written.summary;
		return answered(outcome, written.status);
	});

/** A route that does one thing to what its address names, under the id that came with it. */
export const acting = <E extends RequestEvent, T>(
	summary: string,
	act: (asked: WriteId, event: E) => Promise<Outcome<T>>,
	query?: z.ZodObject
) =>
	described(actOperation(summary, query), async (event: E): Promise<Response> => {
		const asked = writeIdOf(event, '');
		if (!asked) return refuse(400, 'bad_id', BAD_WRITE_ID);
		const outcome = await act(asked, event);
		if (outcome.ok) event.locals.did = summary;
		return answered(outcome, 204);
	});

/** A route that answers what is there, or that there is no such `what`. */
export const reading = <E extends RequestEvent, T>(
	summary: string,
	{ answer, query, what = 'entry' }: ReadOf,
	read: (event: E) => T | undefined | Promise<T | undefined>
) =>
	described(readOperation(summary, { answer, query }), async (event: E): Promise<Response> => {
		const found = await read(event);
		return found === undefined ? notFound(what) : respondUnlessKnown(event.request, found);
	});

/** A route that lists things in pages; see `api/page.ts`. */
export const listing = <E extends RequestEvent, T>(
	summary: string,
	answer: z.ZodType,
	list: (asked: PageAsked, event: E) => Promise<T>
) =>
	described(readOperation(summary, { answer, query: PAGE_QUERY }), async (event: E): Promise<Response> => {
		const asked = PAGE_QUERY.safeParse(Object.fromEntries(event.url.searchParams));
		return asked.success
			? respondUnlessKnown(event.request, await list(asked.data, event))
			: issueResponse(422, wordShape(asked.error));
	});
