import { z } from 'zod';

/** What has a label: a spool, a line on a coil, an order, something in the stock. */
const FOUND_KINDS = ['spool', 'line', 'order', 'stock'] as const;

/** Something that was found, and the page it is on. */
export const Found = z.object({
	kind: z.enum(FOUND_KINDS),
	name: z.string(),
	/** What else tells it apart. */
	beside: z.string(),
	href: z.string(),
	/** The code on its label. */
	code: z.string()
});
export type Found = z.infer<typeof Found>;

/** What fits a text, and whether that is by a code. */
export const FoundAnswer = z.object({ found: z.array(Found), byCode: z.boolean() });
export type FoundAnswer = z.infer<typeof FoundAnswer>;

/** What is sought: it may be somebody's name, so it comes in the body and stands in no address. */
export const Sought = z.strictObject({ q: z.string().max(100) });
