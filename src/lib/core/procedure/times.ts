import type { JobSetup } from './job';

/** Seconds of the steps that are not winding or tying. Assumptions: someone who does this a few times a year. */
export const PREPARING_SECONDS = {
	tools: 240,
	hand: 90,
	cage: 60,
	mount: 90,
	supply: 60,
	end: 90,
	gap: 90,
	'last-look': 120,
	label: 90
} as const;
export const LEADER_SECONDS = { keep: 240, cut: 600 } as const;

/** Turns a minute, kept up with care. Assumptions. */
const PACE_PER_MINUTE: Record<JobSetup['schools']['mount'], number> = {
	butt: 50,
	winder: 120,
	drill: 180,
	'drill-hand': 180,
	table: 35
};
/** Looks, pauses and a rule laid across, whatever the length. */
const PAUSES_SECONDS = 60;

/** @param byHand a line, where the drill is only for the backing */
export const windingSeconds = ({ schools: { mount } }: JobSetup, turns: number, byHand = false): number =>
	PAUSES_SECONDS + (60 * turns) / PACE_PER_MINUTE[mount === 'drill-hand' && byHand ? 'butt' : mount];

/** How long a step was planned to take, and took. */
export interface TimedStep {
	readonly kind: string;
	readonly plannedSeconds: number;
	readonly tookSeconds: number;
}

/** Longer than this many times the plan is a pause for supper, shorter than the other a tick in passing. */
const BREAK_RATIO = 5;
const PASSING_RATIO = 0.1;
/** The plan counts for as much as this many past steps of its kind. Assumption. */
const PRIOR_STEPS = 2;

/** How much longer than planned each kind of step takes this person: 1 where nothing is known. */
export type Tempo = ReadonlyMap<string, number>;

/**
 * Learnt from past runs: the mean of ln(took / planned) by kind, drawn toward 0 by a prior worth
 * {@link PRIOR_STEPS} steps. Pauses and ticks in passing are left out.
 */
export function learnTempo(past: readonly TimedStep[]): Tempo {
	const logs = new Map<string, number[]>();
	for (const { kind, plannedSeconds, tookSeconds } of past) {
		const ratio = tookSeconds / plannedSeconds;
		if (!(ratio > PASSING_RATIO && ratio < BREAK_RATIO)) continue;
		logs.set(kind, [...(logs.get(kind) ?? []), Math.log(ratio)]);
	}
	return new Map(
		[...logs].map(([kind, all]) => [
			kind,
			Math.exp(all.reduce((sum, log) => sum + log, 0) / (all.length + PRIOR_STEPS))
		])
	);
}

export const expectedSeconds = (step: { kind: string; seconds: number }, tempo: Tempo): number =>
	step.seconds * (tempo.get(step.kind) ?? 1);
