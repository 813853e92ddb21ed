import { z } from 'zod';

/** Lists are given in pages: the next one begins after the last id of this one. */

const USUAL = 50;
const MOST = 200;

export const PAGE_QUERY = z.object({
	after: z.string().optional().meta({ description: 'The last id of the page before.' }),
	most: z.coerce
		.number()
		.int()
		.min(1)
		.max(MOST)
		.default(USUAL)
		.meta({
			description: `How many at most; ${USUAL} if you don't say, ${MOST} at most.`,
			override: { type: 'integer', minimum: 1, maximum: MOST, default: USUAL }
		}),
	spool: z.string().optional().meta({ description: 'Only those of the spool with this id.' })
});
export type PageAsked = z.output<typeof PAGE_QUERY>;

/**
 * The page that was asked for. An id that there is not, or is no more, gives the first page.
 *
 * @param isOf whether a thing belongs to a spool
 */
export function pageOf<T extends { readonly id: string }>(
	all: readonly T[],
	{ after, most, spool }: PageAsked,
	isOf: (thing: T, spool: string) => boolean
): { things: readonly T[]; next: string | null; total: number } {
	const matching = spool === undefined ? all : all.filter((thing) => isOf(thing, spool));
	const from = matching.findIndex(({ id }) => id === after) + 1;
	const things = matching.slice(from, from + most);
	return {
		things,
		next: from + most < matching.length ? things.at(-1)!.id : null,
		total: matching.length
	};
}

/** For things that each belong to one spool. */
export const ofSpool = (thing: { readonly spoolId: string }, spool: string): boolean =>
	thing.spoolId === spool;
