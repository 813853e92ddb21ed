import { gapStep, labelStep, lastLookStep, leaderStep } from './finish';
import type { JobSetup } from './job';
import { cageStep, handStep, mountStep, supplyStep, toolsStep } from './prepare';
import type { Step } from './step';
import { partSteps } from './winding';

/** The ordered steps of the job for this very set-up. Content is common practice. */
export function jobSteps(setup: JobSetup): Step[] {
	return [
		toolsStep(),
		handStep(setup),
		cageStep(setup),
		mountStep(setup),
		supplyStep(setup),
		...setup.parts.flatMap((part, i) => partSteps(setup, part, setup.parts[i - 1])),
		gapStep(setup),
		leaderStep(setup),
		lastLookStep(setup),
		labelStep()
	];
}
