import type { Drawn } from './joints';
import type { Caution, Phrase, Sentence } from './phrase';

export const STEP_KINDS = [
	'tools',
	'hand',
	'cage',
	'mount',
	'supply',
	'arbor',
	'wind',
	'end',
	'join',
	'gap',
	'leader',
	'last-look',
	'label',
	'off',
	'tie',
	'tug',
	'hub',
	'lane',
	'anchor',
	'lay',
	'walk',
	'rejoin',
	'loop-test',
	'cut',
	'second-reel',
	'turn-round',
	'run-out',
	'ashore',
	'cut-back',
	'mend',
	'evening',
	'guides',
	'straighten',
	'look-over',
	'before-the-fly'
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

export interface Step {
	/** The kind, and the part where there is one for each: `wind:backing`. */
	readonly id: string;
	readonly kind: StepKind;
	readonly part?: string;
	readonly title: string;
	readonly instructions: readonly Sentence[];
	/** How to tell that it came out right; how it looks when it did not; and what to do then. */
	readonly right: Sentence;
	readonly wrong: Sentence;
	readonly then: Sentence;
	readonly cautions: readonly Caution[];
	/** The number that matters while doing it. */
	readonly figure?: { readonly label: string; readonly value: Phrase; readonly beside: Sentence };
	/** The knots that are tied in it, as far as they are drawn. */
	readonly knots?: readonly Drawn[];
	/** How long it takes someone who does it now and then, before anything is learnt. */
	readonly seconds: number;
}

export type Fixed = Omit<Step, 'id' | 'kind' | 'part'>;
/** A step of a kind; of a part, where each has its own. */
export const step = (kind: StepKind, fixed: Fixed, part?: string): Step => ({
	id: part === undefined ? kind : `${kind}:${part}`,
	kind,
	...(part !== undefined && { part }),
	...fixed
});

/** So much of a strand, with the turns that it takes. */
export const amount = (
	label: string,
	{ lengthMm, turns }: { readonly lengthMm: number; readonly turns: number },
	more: Sentence = []
): NonNullable<Step['figure']> => ({
	label,
	value: { longMm: lengthMm },
	beside: ['about ', { turns }, ' turns', ...more]
});

/** A kind of step from its id. */
export const kindOf = (id: string): StepKind | undefined =>
	STEP_KINDS.find((kind) => id === kind || id.startsWith(`${kind}:`));
