import { readDay } from '$lib/core';
import { LineClassForm, Typed } from '$lib/setup/form';
import { z } from 'zod';

/** What a list can be of: reels, or lines that lie on coils. */
export const LIST_KINDS = ['reels', 'lines'] as const;
export type ListKind = (typeof LIST_KINDS)[number];

/** A reel of a list, its measures as they were typed. */
export const ReelRow = z.strictObject({
	name: z.string().trim().min(1).max(80),
	hand: z.enum(['left', 'right']),
	rim: Typed,
	arbor: Typed,
	width: Typed,
	frame: Typed
});
export type ReelRow = z.infer<typeof ReelRow>;

/** A line of a list, on a coil. */
export const LineRow = z.strictObject({
	line: LineClassForm,
	/** Empty: as usual for its class. */
	length: Typed,
	name: z.string().max(60),
	/** What is written on its coil. */
	coil: z.string().trim().min(1).max(80),
	came: z
		.string()
		.refine((text) => readDay(text) !== undefined, { error: 'Give a day, such as 2026-12-01.' }),
	/** Days it was out; null for a new one. */
	days: z.number().int().min(0).max(1000).nullable()
});
export type LineRow = z.infer<typeof LineRow>;

const MOST_ROWS = 500;
/** A list as it is brought in: everything or nothing of it. */
export const BringList = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('reels'), rows: z.array(ReelRow).min(1).max(MOST_ROWS) }),
	z.strictObject({ kind: z.literal('lines'), rows: z.array(LineRow).min(1).max(MOST_ROWS) })
]);
export type BringList = z.infer<typeof BringList>;

const ids = z.array(z.string().min(1).max(40)).max(MOST_ROWS);
/** What a list became: the spools on the rack, the lines on coils. */
export const BroughtList = z.strictObject({ spools: ids, lines: ids });
export type BroughtList = z.infer<typeof BroughtList>;
