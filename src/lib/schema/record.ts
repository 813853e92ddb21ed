import type { Day } from '$lib/core';
import type { RunSummary } from './run';
import type { RecordForm, SetupForm } from './setup';

/** A finished winding: the set-up it followed, what was measured, and what is therefore on the spool. */
export interface WindRecord {
	readonly id: string;
	readonly setupId: string;
	readonly spoolId: string;
	readonly woundOn: Day;
	/** When it was written down, ms: of two things on one day the later. */
	readonly writtenAt: number;
	/** As typed. */
	readonly typed: RecordForm;
	readonly turns: number | null;
	readonly depthMm: number | null;
	readonly gapMm: number | null;
	/** The set-up at that moment: later changes to the plan do not change what was wound. */
	readonly form: SetupForm;
	/** Length of backing that is on: measured where turns and depth were read, else planned. */
	readonly backingMm: number;
	readonly backingMeasured: boolean;
	/** The run at the bench that led to it, where there was one. */
	readonly run: RunSummary | null;
}
