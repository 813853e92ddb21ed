import { findMaterial, LEAST_BACKING_MM, type JobSetup } from '$lib/core';
import type { SetupForm } from './setup';
import type { Workout } from './workout';

/** Names of what goes on above the backing, in the order it goes on: "running line, then head, then tip". */
const above = (workout: Workout): string =>
	workout.parts
		.slice(workout.stopIndex + 1)
		.map(({ label }) => label)
		.join(', then ');

/** The set-up as the procedure wants it. */
export function jobOf(form: SetupForm, workout: Workout): JobSetup {
	const { spool, fill } = form;
	const { stopIndex, fit, parts } = workout;
	const backing = fit.layers[stopIndex];
	const bare = (backing?.lengthMm ?? 0) < LEAST_BACKING_MM;
	const lineTurns = fit.layers.slice(stopIndex + 1).reduce((sum, layer) => sum + layer.turns, 0);
	const under = parts.slice(0, Math.max(stopIndex, 0));
	const usual = findMaterial('polyester-20');
	return {
		hand: spool.hand,
		cage: spool.cage,
		arborTurns: fill.arborTurns,
		joint: fill.stack[stopIndex + 1]?.joint ?? 'loops',
		...(under.length > 0 && {
			bed: {
				label: under.map(({ label }) => label).join(', then '),
				lengthMm: fit.layers.slice(0, stopIndex).reduce((sum, layer) => sum + layer.lengthMm, 0)
			}
		}),
		head: parts.slice(stopIndex + 1).some(({ role }) => role === 'head'),
		backing: workout.material ?? (usual.ok ? usual.value : { label: 'Backing', cuts: false }),
		lineLabel: above(workout) || parts.at(-1)!.label,
		sinking: workout.line.density === 'S',
		leaderMm: workout.leaderMm,
		plan: {
			lengthMm: bare ? 0 : backing!.lengthMm,
			stopDepthMm: backing?.depthMm ?? 0,
			turns: backing?.turns ?? 0,
			gapMm: fit.gapMm,
			lineTurns
		}
	};
}
