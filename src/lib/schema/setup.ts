import {
	BACKING_MATERIALS,
	DENSITIES,
	JOINTS,
	MAKERS_ALLOWANCES,
	STEP_KEYS,
	TAPERS,
	WINDING_HANDS,
	type Density,
	type Joint,
	type Taper,
	type WindingHand
} from '$lib/core';
import { z } from 'zod';
import { MAX_RATINGS } from './new-setup';

/**
 * A set-up as it was typed. Quantities stay text with their units, so that 3 3/8 in reads back as
 * 3 3/8 in; what they amount to is worked out when it is needed. An unfinished set-up is a valid one.
 */
const Typed = z.string().max(60);
const keys = <K extends string>(record: Record<K, unknown>): [K, ...K[]] =>
	Object.keys(record) as [K, ...K[]];

export const LineClassForm = z.strictObject({
	taper: z.enum(keys<Taper>(TAPERS)),
	number: z.number().int().min(1).max(15),
	density: z.enum(keys<Density>(DENSITIES))
});

const Material = z.enum(BACKING_MATERIALS.map((material) => material.slug) as [string, ...string[]]);

export const RatingForm = z.strictObject({ line: LineClassForm, material: Material, length: Typed });
export type RatingForm = z.infer<typeof RatingForm>;

/** The reel and its spool: what stays the same whatever is wound on it. */
export const SpoolForm = z.strictObject({
	name: z.string().max(80),
	hand: z.enum(['left', 'right']),
	cage: z.enum(['open', 'closed']),
	way: z.enum(['rated', 'measured']),
	ratings: z.array(RatingForm).min(1).max(MAX_RATINGS),
	allowance: z.literal([...MAKERS_ALLOWANCES]),
	rim: Typed,
	arbor: Typed,
	width: Typed,
	frame: Typed
});
export type SpoolForm = z.infer<typeof SpoolForm>;

/** What goes on it, and how. */
export const FillForm = z.strictObject({
	line: z.strictObject({ class: LineClassForm, length: Typed }),
	backing: z.strictObject({ material: Material, diameter: Typed }),
	gap: Typed,
	winding: z.enum(keys<WindingHand>(WINDING_HANDS)),
	arborTurns: z.number().int().min(1).max(3),
	joint: z.enum(keys<Joint>(JOINTS)),
	leader: Typed
});
export type FillForm = z.infer<typeof FillForm>;

export const SetupForm = z.strictObject({ spool: SpoolForm, fill: FillForm });
export type SetupForm = z.infer<typeof SetupForm>;

/** Autosave: the version is the one last seen, so that two windows never overwrite each other unseen. */
export const SaveSetup = z.strictObject({ form: SetupForm, version: z.number().int().min(1) });
export const CreateSetup = z.strictObject({ form: SetupForm, spoolId: z.string().max(40).optional() });

export const TickStep = z.strictObject({ step: z.enum(STEP_KEYS), done: z.boolean() });

/** What came out, as typed. All but the date may be left open. */
export const RecordForm = z.strictObject({
	woundOn: z.iso.date(),
	turns: z.string().max(20),
	depth: Typed,
	gap: Typed,
	note: z.string().max(2000)
});
export type RecordForm = z.infer<typeof RecordForm>;
