import { ROLE_NAMES, type Share } from '$lib/core';
import type { Workout } from '$lib/setup/evaluate-form';

const SPOOL_INPUTS: Partial<Record<Share['key'], string>> = {
	rim: 'across the rims',
	arbor: 'across the arbor',
	width: 'between the flanges',
	frame: 'inside the frame',
	rating: "the box's figure",
	'rated-gap': 'the gap that the figure leaves',
	'arbor-shape': 'the shape of the arbor, not measured',
	'width-shape': 'the width, not measured',
	lay: 'how tightly you wind',
	'depth-reading': 'reading the stop depth'
};

const PART_INPUTS: Partial<Record<Share['key'], (role: string) => string>> = {
	diameter: (role) => `thickness of the ${role}`,
	bulk: (role) => `bulk of the ${role}`,
	lay: (role) => `how tightly the ${role} is wound`
};

/** What an uncertain input is called, for a person. */
export function inputName({ key, component }: Omit<Share, 'share'>, workout: Workout): string {
	const role = workout.parts[component ?? -1]?.role;
	return (role && PART_INPUTS[key]?.(ROLE_NAMES[role])) ?? SPOOL_INPUTS[key] ?? key;
}

/** What to do about it. */
export const BETTER: Partial<Record<Share['key'], string>> = {
	rim: 'measure across both rims with calipers, in two places',
	arbor: 'measure the bare arbor with calipers',
	width: 'measure with the inside jaws, half way down',
	frame: 'measure inside the frame with calipers',
	rating: 'measure the rim, the arbor and the width instead',
	'rated-gap': 'measure rim and width',
	'arbor-shape': 'measure rim and width',
	'width-shape': 'measure rim and width',
	diameter: 'lay 20 wraps on a rule, or weigh ten metres',
	bulk: 'do a half-fit: wind the line alone and read the depth',
	lay: 'do a half-fit, or pause to read turns and depth',
	'depth-reading': 'read in two places and take the mean'
};

/** Shares of one input put together: what is in every component of a kind counts once. */
export function topShares(shares: readonly Share[], workout: Workout, least = 0.02): Share[] {
	return shares.filter(({ share }) => share >= least && workout.parts.length > 0).slice(0, 6);
}
