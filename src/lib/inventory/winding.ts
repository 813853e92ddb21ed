import { keys, LEAVINGS, readDay, REMEDY_KEYS, SOURCES, type Day } from '$lib/core';
import { Typed, type SetupForm } from '$lib/setup/form';
import { MAX_COMPONENTS } from '$lib/setup/limits';
import { z } from 'zod';

const seconds = z.number().min(0);

/** What a run came to, kept with the record that ended it. */
export const RunSummary = z.object({
	run: z.string(),
	/** Left out where it was wound from the arbor. */
	job: z.string().optional(),
	startedAt: z.iso.datetime(),
	seconds,
	plannedSeconds: seconds,
	/** Turns that are on each part. */
	turns: z.record(z.string(), z.number()),
	steps: z.array(z.object({ step: z.string(), plannedSeconds: seconds.optional(), tookSeconds: z.number() })),
	remarks: z.array(z.object({ text: z.string(), step: z.string().optional() })),
	photos: z.array(z.object({ photo: z.string(), step: z.string() })),
	remedies: z.array(z.object({ remedy: z.enum(REMEDY_KEYS), step: z.string() })),
	/** What is written on the coils of what came off, by part; how the backing took a pull. */
	coils: z.record(z.string(), z.string()).optional(),
	tug: z.enum(['passed', 'doubtful', 'failed']).optional(),
	hand: z.enum(['left', 'right']),
	/** Knots from the arbor outward, in words: "arbor: overhand and stopper, 2 turns". */
	knots: z.array(z.string())
});
export type RunSummary = z.infer<typeof RunSummary>;

/** The gap as it was foreseen before it was measured, 9 times out of 10, with the rule that reads it. */
export const ForeseenGap = z.object({ foreseenMm: z.number(), lowMm: z.number(), highMm: z.number() });
export type ForeseenGap = z.infer<typeof ForeseenGap>;

/** A finished winding: the set-up it followed, what was measured, and what is therefore on the spool. */
export interface Winding {
	readonly id: string;
	readonly setupId: string;
	readonly spoolId: string;
	readonly woundOn: Day;
	/** When it was written down, ms: of two things on one day the later. */
	readonly writtenAt: number;
	/** As typed. */
	readonly typed: WindingForm;
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
	/** Left out where no gap was measured, and of windings from before this was kept. */
	readonly foreseen?: ForeseenGap | undefined;
}

/** How a part came off what it was on, and from what. */
export const TravelForm = z.strictObject({
	part: z.string().min(1).max(40),
	source: z.enum(keys(SOURCES)),
	leaving: z.enum(keys(LEAVINGS)),
	seen: z.enum(['clockwise', 'anticlockwise'])
});
export type TravelForm = z.infer<typeof TravelForm>;

/** How it turned out, as typed. All but the date may be blank. */
export const WindingForm = z.strictObject({
	woundOn: z
		.string()
		.refine((text) => readDay(text) !== undefined, { error: 'Give a day, such as 2026-11-25.' }),
	turns: z.string().max(20),
	depth: Typed,
	gap: Typed,
	note: z.string().max(2000),
	who: z.string().max(60).default(''),
	/** Of parts that are not named here nobody knows. */
	travelled: z.array(TravelForm).max(MAX_COMPONENTS).optional()
});
export type WindingForm = z.infer<typeof WindingForm>;

/** Where strands came from, by part: something in the stock by its id, or null for what came from elsewhere. */
export const CutFrom = z.record(z.string().min(1).max(40), z.string().min(1).max(40).nullable());
export type CutFrom = z.infer<typeof CutFrom>;

/**
 * What is sent of a winding: with the run at the bench that it ends, so that two windows at the end of one job write it down once, and
 * with where its strands came from.
 */
export const WriteWinding = WindingForm.extend({
	run: z.string().max(64).optional(),
	cutFrom: CutFrom.optional()
});
