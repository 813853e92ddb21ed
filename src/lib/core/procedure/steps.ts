import { gapStep, labelStep, lastLookStep, leaderStep } from './finish';
import type { JobSetup } from './job';
import { cageStep, handStep, mountStep, supplyStep, toolsStep } from './prepare';
import type { Step } from './step';
import { partSteps } from './winding';

/** The ordered steps of the job for this very set-up. Content is common practice. */
export function jobSteps(setup: JobSetup): Step[] {
	const [first, ...others] = setup.parts.map((part, i) => partSteps(setup, part, setup.parts[i - 1]));
	// Tied on the table, the spool goes back and the reel is mounted then. On a rod butt the end comes through the rod's guide
	// first, and into a closed cage it comes through the opening of a frame that stands still.
	const onTheTable = setup.cage === 'open' && setup.schools.mount !== 'butt';
	const tied = (first ?? []).findIndex(({ kind }) => kind === 'arbor') + 1;
	return [
		toolsStep(),
		handStep(setup),
		...(onTheTable ? [] : [mountStep(setup)]),
		supplyStep(setup),
		cageStep(setup),
		...(first ?? []).slice(0, tied),
		...(onTheTable ? [mountStep(setup)] : []),
		...(first ?? []).slice(tied),
		...others.flat(),
		gapStep(setup),
		leaderStep(setup),
		lastLookStep(setup),
		labelStep()
	];
}
