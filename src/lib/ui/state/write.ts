import { toJson } from '$lib/inventory/json';
import { v4 as uuid } from 'uuid';
import { readAs, send, type AnswerShape, type Method, type Reply } from './api';

type Changing = Exclude<Method, 'GET'>;

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

	send<T>(method: Changing, path: string, body: unknown, answer: AnswerShape<T>): Promise<Reply<T>>;
	send(method: Changing, path: string, body?: unknown): Promise<Reply<undefined>>;
	async send<T>(
		method: Changing,
		path: string,
		body?: unknown,
		answer?: AnswerShape<T>
	): Promise<Reply<T | undefined>> {
		const what = toJson([method, path, body]);
		if (!this.#asked || (!this.#once && this.#asked.what !== what)) this.#asked = { what, id: uuid() };
		const writeId = this.#asked.id;
		const reply = answer
			? await send(method, path, body, { writeId, answer })
			: await send(method, path, body, { writeId });
		if (reply.kind !== 'unreachable') this.#asked = undefined;
		return reply;
	}
}

/** What an earlier try of a write came to, where that had reached the server with something else in it. */
export async function usedAnswer<T>(reply: Reply<unknown>, answer: AnswerShape<T>): Promise<T | undefined> {
	if (reply.kind !== 'refused' || reply.issues[0]?.code !== 'write_id_used') return undefined;
	return readAs(answer, (reply.body as { answer?: unknown }).answer);
}

/** What is there now, where a write was made over an older version of it. */
export async function staleAnswer<T>(reply: Reply<unknown>, shape: AnswerShape<T>): Promise<T | undefined> {
	if (reply.kind !== 'refused' || reply.status !== 409) return undefined;
	return readAs(shape, (reply.body as { current?: unknown }).current);
}
