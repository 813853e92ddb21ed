import type { WordedIssue } from '$lib/schema/words';

/** What came of asking the server: an answer, a refusal with its reasons, or no answer at all. */
export type Reply<T> =
	| { kind: 'ok'; value: T }
	| { kind: 'refused'; status: number; issues: WordedIssue[]; body: unknown }
	| { kind: 'unreachable' };

/** Characters of a body that may go on after its page is gone. */
const MOST_KEPT_ALIVE = 16_000;

/** Sends JSON and reads the reply; never throws. */
export async function send<T>(
	method: 'GET' | 'POST' | 'PUT' | 'DELETE',
	path: string,
	body?: unknown
): Promise<Reply<T>> {
	const text = body === undefined ? '' : JSON.stringify(body);
	try {
		const response = await fetch(path, {
			method,
			// Goes through although the page is left meanwhile; a browser refuses that to more than 64 kB at a time.
			keepalive: text.length < MOST_KEPT_ALIVE,
			headers: { 'content-type': 'application/json' },
			...(body !== undefined && { body: text })
		});
		const answer = await response.text();
		const read: unknown = answer ? JSON.parse(answer) : undefined;
		if (response.ok) return { kind: 'ok', value: read as T };
		const issues = (read as { issues?: WordedIssue[] } | undefined)?.issues ?? [];
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
		? (reply.issues[0]?.message ?? 'That was not taken. Look through it and try again.')
		: `The server does not answer. ${stays}: try again in a moment.`;
}

/** Whether the server answers at all: asked before a page that would be lost without it. */
export const isThere = (): Promise<boolean> =>
	fetch('/wendle.svg', { method: 'HEAD', cache: 'no-store' }).then(
		({ ok }) => ok,
		() => false
	);
