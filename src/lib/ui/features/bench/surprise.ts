import type { Explanation, TakenAs } from '$lib/core';

/** What a person can say of a reading that surprises. */
export const TAKEN_AS_SAYS: Record<TakenAs, string> = {
	confirmed: 'The reading is right',
	'lost-count': 'I lost count',
	'other-room': 'It takes more or less room than thought',
	'other-spool': "The spool or the strand under it isn't what I said"
};

/** What the buttons say, the most plausible first; to read again comes in its place, and that it is right at the end. */
export const choicesOf = (
	explanations: readonly Explanation[]
): { as: TakenAs | 'misread'; label: string }[] => [
	...explanations.map(({ as }) => ({
		as,
		label: as === 'misread' ? "I'll read it again" : TAKEN_AS_SAYS[as]
	})),
	{ as: 'confirmed', label: TAKEN_AS_SAYS.confirmed }
];
