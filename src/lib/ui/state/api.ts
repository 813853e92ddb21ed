import { toJson } from '$lib/schema/json';
import type { WordedIssue } from '$lib/schema/words';
import { v4 as uuid } from 'uuid';

/**
 * What came of asking the server: an answer, a refusal with its reasons, or no answer at all. A server that could not do what
 * it was asked counts as none: it may do it the next time, and says why in `message`.
 */
export type Reply<T> =
	| { kind: 'ok'; value: T }
	| { kind: 'refused'; status: number; issues: WordedIssue[]; body: unknown }
	| { kind: 'unreachable'; message?: string };

/** Characters of a body that may go on after its page is gone. */
const MOST_KEPT_ALIVE = 16_000;
/** The header that carries the id of a write. */
const WRITE_ID_HEADER = 'idempotency-key';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/**
 * Sends JSON and reads the reply; never throws.
 *
 * @param writeId of a write, the same each time it is tried: done twice it is done once. See {@link Write}
 */
export async function send<T>(
	method: Method,
	path: string,
	body?: unknown,
	writeId: string = uuid()
): Promise<Reply<T>> {
	const text = body === undefined ? '' : toJson(body);
	try {
		const response = await fetch(path, {
			method,
			// Goes through although the page is left meanwhile; a browser refuses that to more than 64 kB at a time.
			keepalive: text.length < MOST_KEPT_ALIVE,
			headers: {
				'content-type': 'application/json',
				...(method !== 'GET' && { [WRITE_ID_HEADER]: writeId })
			},
			...(body !== undefined && { body: text })
		});
		const answer = await response.text();
		const read: unknown = answer ? JSON.parse(answer) : undefined;
		if (response.ok) return { kind: 'ok', value: read as T };
		const { issues = [], message } = (read ?? {}) as { issues?: WordedIssue[]; message?: string };
		if (response.status >= 500) return { kind: 'unreachable', ...(message !== undefined && { message }) };
		return { kind: 'refused', status: response.status, issues, body: read };
	} catch {
		return { kind: 'unreachable' };
	}
}

/**
 * A write that may be tried again: whoever asks for the same after no answer came has asked once. After an answer the next
 * write is another one.
 */
export class Write {
	readonly #once: boolean;
	#asked: { what: string; id: string } | undefined;

	/** @param once there is one such write: changed after no answer came it is the same one, and the server says so */
	constructor({ once = false } = {}) {
		this.#once = once;
	}

	async send<T>(method: Exclude<Method, 'GET'>, path: string, body?: unknown): Promise<Reply<T>> {
		const what = toJson([method, path, body]);
		if (!this.#asked || (!this.#once && this.#asked.what !== what)) this.#asked = { what, id: uuid() };
		const reply = await send<T>(method, path, body, this.#asked.id);
		if (reply.kind !== 'unreachable') this.#asked = undefined;
		return reply;
	}
}

/** What an earlier try of a write came to, where that had reached the server with something else in it. */
export function usedAnswer<T>(reply: Reply<unknown>): T | undefined {
	if (reply.kind !== 'refused' || reply.issues[0]?.code !== 'write_id_used') return undefined;
	return (reply.body as { answer: T }).answer;
}

/**
 * What is said of a reply that is no yes.
 *
 * @param stays what becomes of what was sent when no answer came: "What you typed stays here"
 */
export function troubleOf(reply: Reply<unknown>, stays: string): string | undefined {
	if (reply.kind === 'ok') return undefined;
	return reply.kind === 'refused'
		? (reply.issues[0]?.message ?? "Wendle didn't take that. Look through it and try again.")
		: (reply.message ?? `The server does not answer. ${stays}: try again in a moment.`);
}

/** Whether the server answers at all: asked before a page that would be lost without it. */
export const isThere = (): Promise<boolean> =>
	fetch('/wendle.svg', { method: 'HEAD', cache: 'no-store' }).then(
		({ ok }) => ok,
		() => false
	);
