import type { WordedIssue } from '$lib/schema/words';

/** What came of asking the server: an answer, a refusal with its reasons, or no answer at all. */
export type Reply<T> =
	| { kind: 'ok'; value: T }
	| { kind: 'refused'; status: number; issues: WordedIssue[]; body: unknown }
	| { kind: 'unreachable' };

/** Sends JSON and reads the reply; never throws. */
export async function send<T>(
	method: 'GET' | 'POST' | 'PUT' | 'DELETE',
	path: string,
	body?: unknown
): Promise<Reply<T>> {
	try {
		const response = await fetch(path, {
			method,
			// Goes through although the page is left meanwhile.
			keepalive: true,
			headers: { 'content-type': 'application/json' },
			...(body !== undefined && { body: JSON.stringify(body) })
		});
		const text = await response.text();
		const read: unknown = text ? JSON.parse(text) : undefined;
		if (response.ok) return { kind: 'ok', value: read as T };
		const issues = (read as { issues?: WordedIssue[] } | undefined)?.issues ?? [];
		return { kind: 'refused', status: response.status, issues, body: read };
	} catch {
		return { kind: 'unreachable' };
	}
}
