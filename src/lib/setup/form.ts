import {
	BACKING_MATERIALS,
	DENSITIES,
	JOINTS,
	keys,
	MAKERS_ALLOWANCES,
	ROLES,
	TECHNIQUE_KEYS,
	TECHNIQUES,
	TAPERS,
	WINDING_HANDS,
	type ChosenTechniques
} from '$lib/core';
import { z } from 'zod';
import { MAX_COMPONENTS, MAX_RATINGS, MAX_TAPER_ROWS, MOST_TYPED, SPOOL_SHAPES, SPOOL_WAYS } from './limits';

/**
 * A set-up as it was typed. Quantities stay text with their units, so that 3 3/8 in reads back as
 * 3 3/8 in; what they amount to is worked out when it is needed. An unfinished set-up is a valid one.
 */
export const Typed = z.string().max(MOST_TYPED);

export const LineClassForm = z.strictObject({
	taper: z.enum(keys(TAPERS)),
	number: z.number().int().min(1).max(15),
	density: z.enum(keys(DENSITIES))
});

const Material = z.enum(BACKING_MATERIALS.map((material) => material.slug) as [string, ...string[]]);

/** What a box's figure is for, where that is no single-hand line: a head by its weight and length, or plain nylon of a thickness. */
const RatedOther = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('head'), density: z.enum(keys(DENSITIES)), mass: Typed, length: Typed }),
	z.strictObject({ kind: z.literal('nylon'), diameter: Typed })
]);
export type RatedOther = z.infer<typeof RatedOther>;

export const RatingForm = z.strictObject({
	line: LineClassForm,
	material: Material,
	length: Typed,
	other: RatedOther.optional()
});
export type RatingForm = z.infer<typeof RatingForm>;

/** The reel and its spool: what stays the same whatever is wound on it. */
export const SpoolForm = z.strictObject({
	name: z.string().max(80),
	hand: z.enum(['left', 'right']),
	cage: z.enum(['open', 'closed']),
	way: z.enum(SPOOL_WAYS),
	ratings: z.array(RatingForm).min(1).max(MAX_RATINGS),
	allowance: z.literal([...MAKERS_ALLOWANCES]),
	/** What is on it now, and the gap that leaves: another way to know the spool. */
	filled: z.strictObject({ line: LineClassForm, material: Material, length: Typed, gap: Typed }),
	shape: z.enum(SPOOL_SHAPES),
	rim: Typed,
	/** Across the arbor; of a dished one, across its edges by the flanges. */
	arbor: Typed,
	width: Typed,
	/** Dished: across the arbor where it is lowest. */
	low: Typed,
	/** Flared: width between the flanges at the arbor. */
	floor: Typed,
	frame: Typed,
	/** Turns of the spool for one turn that is counted, "4.7" or "47 in 10"; empty: they are the same. */
	gear: Typed.default('')
});
export type SpoolForm = z.infer<typeof SpoolForm>;

/** A stretch of a maker's taper table. */
export const TaperRowForm = z.strictObject({ length: Typed, start: Typed, end: Typed });

/** How a component is known. */
export const Made = z.discriminatedUnion('way', [
	z.strictObject({ way: z.literal('material'), material: Material, diameter: Typed }),
	z.strictObject({ way: z.literal('class'), class: LineClassForm }),
	z.strictObject({ way: z.literal('weighed'), class: LineClassForm, mass: Typed }),
	/** A head or a tip by what it weighs, and its length: its bulk follows, however it tapers. */
	z.strictObject({ way: z.literal('grains'), density: z.enum(keys(DENSITIES)), mass: Typed }),
	z.strictObject({
		way: z.literal('table'),
		density: z.enum(keys(DENSITIES)),
		rows: z.array(TaperRowForm).min(1).max(MAX_TAPER_ROWS)
	}),
	z.strictObject({
		way: z.literal('level'),
		density: z.enum(keys(DENSITIES)),
		diameter: Typed
	})
]);
export type Made = z.infer<typeof Made>;

export const ComponentForm = z.strictObject({
	/** Keeps its identity while the stack is put in another order. */
	id: z.string().min(1).max(40),
	role: z.enum(ROLES),
	made: Made,
	/** Empty: as usual for its class, or as the table says. */
	length: Typed,
	/** This length is looked for. */
	solve: z.boolean(),
	/** How its rear end is joined to the strand under it. */
	joint: z.enum(keys(JOINTS)),
	/** #rrggbb, or empty when nobody has looked. */
	colour: z.union([z.literal(''), z.string().regex(/^#[0-9a-f]{6}$/i)]),
	/** What it is called here: "winter head". */
	note: z.string().max(60),
	/** The very strand that this is, where it was on a spool before: see `kept.ts`. */
	kept: z.string().min(1).max(160).optional()
});
export type ComponentForm = z.infer<typeof ComponentForm>;

/** Another head, tip or line that goes on in the place of one in the stack. */
export const SwapForm = z.strictObject({
	id: z.string().min(1).max(40),
	of: z.string().min(1).max(40),
	made: Made,
	length: Typed,
	note: z.string().max(60)
});
export type SwapForm = z.infer<typeof SwapForm>;

/** One's own spreads, 1σ, in place of the defaults; empty is the default. */
export const SpreadsForm = z.strictObject({
	rim: Typed,
	arbor: Typed,
	width: Typed,
	depth: Typed,
	diameter: Typed,
	bulk: Typed,
	lay: Typed
});

/** Where people differ: this set-up's own ways; what is not there is as the person has it, or as usual. */
export const TechniquesForm = z.strictObject(
	Object.fromEntries(
		TECHNIQUE_KEYS.map((key) => [key, z.enum(keys<string>(TECHNIQUES[key].ways)).optional()])
	)
) as unknown as z.ZodType<ChosenTechniques>;

const TechniqueEdits = z.strictObject(
	Object.fromEntries(
		TECHNIQUE_KEYS.map((key) => [key, z.enum(keys<string>(TECHNIQUES[key].ways)).nullable().optional()])
	)
) as unknown as z.ZodType<{ readonly [K in keyof ChosenTechniques]?: ChosenTechniques[K] | null }>;

/** What goes on it, and how. */
export const FillForm = z.strictObject({
	/** From the arbor outward. */
	stack: z.array(ComponentForm).min(1).max(MAX_COMPONENTS),
	swaps: z.array(SwapForm).max(MAX_COMPONENTS),
	gap: Typed,
	winding: z.enum(keys(WINDING_HANDS)),
	/** One's own lay, learnt or measured: "0.86 ± 3 %"; empty: as the manner of winding has it. */
	lay: Typed,
	arborTurns: z.number().int().min(1).max(3),
	leader: Typed,
	/** Depth read with everything above the backing alone on the bare arbor: the half-fit. */
	halfFit: Typed,
	/** Turns of backing that then went over it until the gap was right: the reverse fill. */
	reverseTurns: z.string().max(20),
	schools: TechniquesForm.default({}),
	spreads: SpreadsForm
});
export type FillForm = z.infer<typeof FillForm>;

export const SetupForm = z.strictObject({ spool: SpoolForm, fill: FillForm });
export type SetupForm = z.infer<typeof SetupForm>;

/** Autosave: the version is the one last seen, so that two windows never overwrite each other unseen. */
export const SaveSetup = z.strictObject({ form: SetupForm, version: z.number().int().min(1) });
/**
 * A new set-up; `spoolId` for a spool that is there. Where the form describes that spool otherwise than it is, `spoolVersion`
 * says which version of it was seen.
 */
export const CreateSetup = z.strictObject({
	form: SetupForm,
	spoolId: z.string().max(40).optional(),
	spoolVersion: z.number().int().min(0).optional()
});

/** How it is wound and tied, changed from the bench. What is left out stays as it is. With a version, only over that one. */
export const SaveTechniques = z.strictObject({
	version: z.number().int().min(1).optional(),
	/** Each technique that is chosen, or null where the person's own holds again. */
	schools: TechniqueEdits.optional(),
	arborTurns: FillForm.shape.arborTurns.optional(),
	gap: Typed.optional(),
	/** A joint by the part it joins on. */
	joints: z.record(z.string().max(40), z.enum(keys(JOINTS))).optional()
});
export type SaveTechniques = z.infer<typeof SaveTechniques>;
