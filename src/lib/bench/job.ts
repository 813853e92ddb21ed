import {
	arborKnotOf,
	jointOf,
	JOINTS,
	LEAST_BACKING_MM,
	ROLE_NAMES,
	TECHNIQUES,
	techniquesOf,
	type ChosenTechniques,
	type JobPart,
	type JobSetup,
	type Step
} from '$lib/core';
import type { Made, SetupForm } from '$lib/setup/form';
import type { Workout } from '$lib/setup/evaluate-form';
import { shoppingOf } from './shopping';

/** Strength in the name of a backing: "polyester-30" is sold as 30 lb. */
const strengthLb = (slug: string | undefined): number | undefined => {
	const found = /-(\d+)$/.exec(slug ?? '');
	return found ? Number(found[1]) : undefined;
};

/** Of one thickness throughout, or tapered alike at both ends. */
const isAlike = (made: Made | undefined): boolean =>
	made?.way === 'level' || (made?.way === 'class' && made.class.taper !== 'WF');

function partsOf({ fill }: SetupForm, { parts, fit, known, gear }: Workout): JobPart[] {
	return parts.map(({ id, role, label, material, line }, i) => {
		const layer = fit.layers[i]!;
		const strength = strengthLb(material?.slug);
		return {
			id,
			role,
			label,
			joint: fill.stack[i]?.joint ?? 'loops',
			lengthMm: layer.lengthMm,
			turns: layer.turns / gear,
			depthMm: known.spool.rimRadiusMm - layer.outerRadiusMm,
			sinking: line?.density === 'S',
			cuts: material?.cuts ?? false,
			alike: isAlike(fill.stack[i]?.made),
			...(strength !== undefined && { strengthLb: strength })
		};
	});
}

/** The stop as it is seen now, after readings: where the strand ends, and how much of it that is, in turns of the spool. */
export interface StopNow {
	readonly lengthMm: number;
	readonly stopDepthMm: number;
	readonly turns: number;
}

function planOf(
	{ stopIndex, fit, gear }: Workout,
	bare: boolean,
	now: StopNow | undefined
): JobSetup['plan'] {
	const stop = fit.layers[stopIndex];
	const planned: StopNow = {
		lengthMm: stop?.lengthMm ?? 0,
		stopDepthMm: stop?.depthMm ?? 0,
		turns: stop?.turns ?? 0
	};
	const { lengthMm, stopDepthMm, turns } = now ?? planned;
	return {
		lengthMm: bare ? 0 : lengthMm,
		stopDepthMm,
		turns: turns / gear,
		gapMm: fit.gapMm,
		lineTurns: fit.layers.slice(stopIndex + 1).reduce((sum, layer) => sum + layer.turns / gear, 0)
	};
}

/**
 * The set-up as the procedure wants it, in turns as they are counted. Where no backing fits, or so little that a joint and a knot are all of it,
 * the job leaves it out: the line goes on the arbor.
 *
 * @param now the stop as readings have moved it; as planned unless given
 */
export function jobOf(
	form: SetupForm,
	workout: Workout,
	person: ChosenTechniques = {},
	now?: StopNow
): JobSetup {
	const { spool, fill } = form;
	const { stopIndex, fit } = workout;
	const stop = fit.layers[stopIndex];
	const bare = (stop?.lengthMm ?? 0) < LEAST_BACKING_MM;
	const parts = partsOf(form, workout).filter((_, i) => !(bare && i === stopIndex));
	const stopPart = bare ? undefined : workout.parts[stopIndex]?.id;
	const job: JobSetup = {
		hand: spool.hand,
		cage: spool.cage,
		arborTurns: fill.arborTurns,
		parts,
		...(stopPart !== undefined && { stopPart }),
		schools: techniquesOf(fill.schools, person),
		leaderMm: workout.leaderMm,
		spool: {
			rimRadiusMm: workout.known.spool.rimRadiusMm,
			arborRadiusMm: workout.known.spool.arborRadiusMm
		},
		plan: planOf(workout, bare, now)
	};
	const cuts = new Map(shoppingOf(workout, job).map(({ id, cut }) => [id, cut.cutMm]));
	return {
		...job,
		parts: parts.map((part) => {
			const cutMm = cuts.get(part.id);
			return cutMm === undefined ? part : { ...part, cutMm };
		})
	};
}

/** The knots of a job, from the arbor outward, in words. */
export function knotsOf(job: JobSetup): string[] {
	const arborKnot = arborKnotOf(job);
	const turns = job.arborTurns === 1 ? '1 turn' : `${job.arborTurns} turns`;
	return [
		`arbor: ${TECHNIQUES.arborKnot.ways[arborKnot].label.toLowerCase()}, ${turns}`,
		...job.parts
			.slice(1)
			.map(
				(part, i) =>
					`${ROLE_NAMES[job.parts[i]!.role]} to ${ROLE_NAMES[part.role]}: ${JOINTS[jointOf(job, part)]}`
			)
	];
}

/** How long steps are planned to take, before anything is learnt. */
export const plannedSeconds = (steps: readonly Step[]): number =>
	steps.reduce((sum, { seconds }) => sum + seconds, 0);
