import type { LineSection, Role } from '$lib/core';
import type { Workout } from '$lib/setup/evaluate-form';

/** A strand of the thread as it is drawn. */
export interface ThreadStrand {
	readonly role: Role;
	/** Taper to be drawn, rear end first. */
	readonly sections: readonly LineSection[];
}

/** A set-up's strands, from the arbor outward. */
export const strandsOf = ({ parts, stack }: Workout): ThreadStrand[] =>
	parts.map(({ role }, i) => ({ role, sections: stack[i]!.sections }));
