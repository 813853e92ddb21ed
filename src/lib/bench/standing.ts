import type { RemedyKey, Step } from '$lib/core';
import type { Winding } from '$lib/inventory/winding';
import type { Workout } from '$lib/setup/evaluate-form';

/** What may be wrong with a reel that is wound, the commonest first. */
export const STANDING_REMEDIES = [
	'too-full',
	'too-empty',
	'wrong-end',
	'heaped',
	'twisted',
	'wrong-hand'
] as const satisfies readonly RemedyKey[];
export type StandingRemedy = (typeof STANDING_REMEDIES)[number];

export const readStanding = (text: string | null): StandingRemedy | undefined =>
	STANDING_REMEDIES.find((key) => key === text);

/** Where a wound reel stands in the job that wound it: the step to open, what is done, and the turns that are on. */
export interface Standing {
	/** Index of the step. */
	readonly at: number;
	readonly done: readonly Step[];
	/** By part. */
	readonly turns: ReadonlyMap<string, number>;
	/** The part whose turns nobody counted: they are only about what was planned. */
	readonly uncounted: string | undefined;
}

/** How much there is over or under is found at the gap; everything else is seen at the last look. */
const SEEN_AT: Partial<Record<StandingRemedy, Step['kind']>> = { 'too-full': 'gap', 'too-empty': 'gap' };

/** A reel that was wound, as a job that has come to the step where this remedy begins. */
export function standingOf(
	remedy: StandingRemedy,
	steps: readonly Step[],
	{ parts, fit, stopIndex }: Workout,
	winding: Pick<Winding, 'turns'> | undefined
): Standing | undefined {
	const kind = SEEN_AT[remedy] ?? 'last-look';
	const at = steps.findIndex((step) => step.kind === kind);
	if (at < 0) return undefined;
	const counted = winding?.turns ?? undefined;
	const stop = parts[stopIndex]?.id;
	const turns = new Map(
		parts.map(({ id }, i) => [id, Math.round(i === stopIndex && counted ? counted : fit.layers[i]!.turns)])
	);
	return { at, done: steps.slice(0, at), turns, uncounted: counted === undefined ? stop : undefined };
}
