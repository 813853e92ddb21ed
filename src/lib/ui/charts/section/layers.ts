import type { Role } from '$lib/core';
import type { AsWound } from '$lib/inventory/wound';
import type { Workout } from '$lib/setup/evaluate-form';
import type { WoundLayer } from './wraps';

/** A layer ready to be drawn, in its role's colour and texture. */
export interface DrawnLayer {
	readonly key: string;
	readonly role: Role;
	readonly layer: WoundLayer;
	readonly colour: string;
	/** A fly line is a core with a coat; braid and mono are one material. */
	readonly coated: boolean;
}

/** Colour of a role: strands, layers and labels agree. */
export const ROLE_COLOURS: Record<Role, string> = {
	bed: 'var(--bed)',
	backing: 'var(--backing)',
	'running-line': 'var(--running)',
	line: 'var(--line)',
	head: 'var(--head)',
	tip: 'var(--tip)',
	leader: 'var(--leader)'
};
/** The same, dark enough for small type. */
export const ROLE_TEXT: Record<Role, string> = {
	bed: 'var(--bed-text)',
	backing: 'var(--backing-text)',
	'running-line': 'var(--running-text)',
	line: 'var(--line-text)',
	head: 'var(--head-text)',
	tip: 'var(--tip-text)',
	leader: 'var(--leader)'
};

const COATED: readonly Role[] = ['running-line', 'line', 'head', 'tip'];

function drawn(
	workout: Workout,
	arborMm: number,
	surfacesMm: readonly number[],
	turnsOf: (index: number) => number
): DrawnLayer[] {
	return workout.parts.map(({ id, role }, i) => ({
		key: id,
		role,
		colour: ROLE_COLOURS[role],
		coated: COATED.includes(role),
		layer: {
			innerRadiusMm: surfacesMm[i - 1] ?? arborMm,
			outerRadiusMm: surfacesMm[i]!,
			turns: turnsOf(i),
			sections: workout.stack[i]!.sections
		}
	}));
}

/** The layers as planned. */
export const plannedLayers = (workout: Workout): DrawnLayer[] =>
	drawn(
		workout,
		workout.known.spool.arborRadiusMm,
		workout.fit.layers.map(({ outerRadiusMm }) => outerRadiusMm),
		(i) => workout.fit.layers[i]!.turns
	);

/** The layers as they were wound: measured surfaces where there are any. */
export function woundLayers(wound: AsWound, turns: number | null): DrawnLayer[] {
	const { workout, spool, surfacesMm, backingMm } = wound;
	const { fit, stopIndex } = workout;
	const planned = fit.layers[stopIndex];
	const share = planned && planned.lengthMm > 0 ? backingMm / planned.lengthMm : 0;
	return drawn(workout, spool.arborRadiusMm, surfacesMm, (i) =>
		i === stopIndex ? (turns ?? fit.layers[i]!.turns * share) : fit.layers[i]!.turns
	);
}
