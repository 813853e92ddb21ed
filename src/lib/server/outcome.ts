import type { Issue } from '$lib/core';
import { wordIssue, type WordedIssue } from '$lib/wording/issues';

/** Why something was not written. Nothing of it was. */
export type Refusal =
	/** There is no such thing (any more); `what` is its name. */
	| { readonly kind: 'gone'; readonly what: string }
	/** Somebody saved a newer version; `current` is what is there now. */
	| { readonly kind: 'stale'; readonly current: unknown }
	/** It makes no sense as it stands. */
	| { readonly kind: 'bad'; readonly issues: readonly WordedIssue[] }
	/** The write's id was used for a different write; `answer` is what that one came to. */
	| { readonly kind: 'used'; readonly answer: unknown };

/** What a write comes to: done, with its answer, or refused. */
export type Outcome<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Refusal };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const refused = (refusal: Refusal): Outcome<never> => ({ ok: false, refusal });
/** The answer of a write that cannot be refused. @throws Error for one that was */
export function valueOf<T>(outcome: Outcome<T>): T {
	if (!outcome.ok) throw new Error(`refused: ${JSON.stringify(outcome.refusal)}`);
	return outcome.value;
}
export const gone = (what: string): Outcome<never> => refused({ kind: 'gone', what });
export const stale = (current: unknown): Outcome<never> => refused({ kind: 'stale', current });
export const bad = (issues: readonly Issue[]): Outcome<never> =>
	refused({ kind: 'bad', issues: issues.map((issue) => wordIssue(issue)) });
