import type { AsWound } from '$lib/schema/wound';
import type { Workout } from '$lib/schema/workout';
import { diameterByShare, type WoundLayer } from './wraps';

/** A layer ready to be drawn, in its role's colour and texture. */
export interface DrawnLayer {
	readonly key: 'backing' | 'line';
	readonly layer: WoundLayer;
	readonly colour: string;
	readonly coated: boolean;
}

interface Surfaces {
	readonly arborMm: number;
	readonly backingMm: number;
	readonly lineMm: number;
	readonly backingTurns: number;
}

function drawn(workout: Workout, { arborMm, backingMm, lineMm, backingTurns }: Surfaces): DrawnLayer[] {
	return [
		{
			key: 'backing',
			colour: 'var(--backing)',
			coated: false,
			layer: {
				innerRadiusMm: arborMm,
				outerRadiusMm: backingMm,
				turns: backingTurns,
				diameterAtMm: () => workout.backingDiameterMm
			}
		},
		{
			key: 'line',
			colour: 'var(--line)',
			coated: true,
			layer: {
				innerRadiusMm: backingMm,
				outerRadiusMm: lineMm,
				turns: workout.fit.layers[1]!.turns,
				diameterAtMm: diameterByShare(workout.lineSections)
			}
		}
	];
}

/** The layers as planned. */
export function plannedLayers(workout: Workout): DrawnLayer[] {
	const [backing, line] = workout.fit.layers;
	return drawn(workout, {
		arborMm: backing!.innerRadiusMm,
		backingMm: backing!.outerRadiusMm,
		lineMm: line!.outerRadiusMm,
		backingTurns: backing!.turns
	});
}

/** The layers as they were wound: measured surfaces where there are any. */
export function woundLayers(wound: AsWound, turns: number | null): DrawnLayer[] {
	const planned = wound.workout.fit.layers[0]!;
	const share = planned.lengthMm > 0 ? wound.backingMm / planned.lengthMm : 0;
	return drawn(wound.workout, {
		arborMm: wound.spool.arborRadiusMm,
		backingMm: wound.backingRadiusMm,
		lineMm: wound.surfaceRadiusMm,
		backingTurns: turns ?? planned.turns * share
	});
}
