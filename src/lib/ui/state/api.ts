import { PLACE_HEADER, type Place } from '$lib/inventory/place';
import { toJson } from '$lib/inventory/json';
import type { WordedIssue } from '$lib/wording/issues';
import { v4 as uuid } from 'uuid';
import type { z } from 'zod';

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

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** How an answer is read: see `answers.ts`. */
export type AnswerShape<T> = () => Promise<z.ZodType<T>>;

/** What else is said of a request. */
interface Sending {
	/** Of a write, the same each time it is tried: done twice it is done once. See `write.ts` */
	readonly writeId?: string;
}
/** A request whose answer is read. */
interface Asking<T> extends Sending {
	readonly answer: AnswerShape<T>;
}

/** The place that this page belongs to: sent along, so that it never writes into another one. */
export const pagePlace: { now: Place | undefined } = { now: undefined };
export const ofPlace = (): Record<string, string> =>
	pagePlace.now === undefined ? {} : { [PLACE_HEADER]: pagePlace.now };

const NOT_UNDERSTOOD = 'The server answered something that this page does not understand. Reload the page.';

/** Reads what was sent as a shape; undefined where it is something else. */
export async function readAs<T>(shape: AnswerShape<T>, sent: unknown): Promise<T | undefined> {
	const read = (await shape()).safeParse(sent);
	return read.success ? read.data : undefined;
}

/** Sends JSON and reads the reply, by the shape of its answer or not at all; never throws. */
export function send<T>(method: Method, path: string, body: unknown, asking: Asking<T>): Promise<Reply<T>>;
export function send(
	method: Method,
	path: string,
	body?: unknown,
	sending?: Sending
): Promise<Reply<undefined>>;
export async function send<T>(
	method: Method,
	path: string,
	body?: unknown,
	{ answer: shape, writeId = uuid() }: Partial<Asking<T>> = {}
): Promise<Reply<T | undefined>> {
	const text = body === undefined ? '' : toJson(body);
	try {
		const response = await fetch(path, {
			method,
			// Goes through although the page is left meanwhile; a browser refuses that to more than 64 kB at a time.
			keepalive: text.length < MOST_KEPT_ALIVE,
			headers: {
				'content-type': 'application/json',
				...ofPlace(),
				...(method !== 'GET' && { [WRITE_ID_HEADER]: writeId })
			},
			...(body !== undefined && { body: text })
		});
		const answer = await response.text();
		const read: unknown = answer ? JSON.parse(answer) : undefined;
		if (response.ok) {
			const value = shape && (await readAs(shape, read));
			return shape && value === undefined
				? { kind: 'unreachable', message: NOT_UNDERSTOOD }
				: { kind: 'ok', value };
		}
		const { issues = [], message } = (read ?? {}) as { issues?: WordedIssue[]; message?: string };
		if (response.status >= 500) return { kind: 'unreachable', ...(message !== undefined && { message }) };
		return { kind: 'refused', status: response.status, issues, body: read };
	} catch {
		return { kind: 'unreachable' };
	}
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
		: (reply.message ?? `The server doesn't answer. ${stays}: try again in a moment.`);
}

/** Whether the server answers at all: asked before a page that would be lost without it. */
export const isThere = (): Promise<boolean> =>
	fetch('/wendle.svg', { method: 'HEAD', cache: 'no-store' }).then(
		({ ok }) => ok,
		() => false
	);
