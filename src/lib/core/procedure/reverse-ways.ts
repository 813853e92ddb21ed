import { keys } from '../keys';

/**
 * Finding the amount by filling the spool back to front: the line first, the backing over it until the gap is right. Then it has to be
 * turned round, in one of three ways. Common practice.
 */
export const REVERSE_WAYS = {
	spools: {
		label: 'Two storage spools',
		title: 'Reverse fill, turned round over two storage spools',
		buys: 'Needs only a drill, or patience: everything is wound on twice and off once.'
	},
	twin: {
		label: 'A twin reel',
		title: 'Reverse fill on a twin reel, which gives it back',
		buys: "The joint is tied once, and the second reel's drag gives an even tension; needs a second reel of the same model."
	},
	ground: {
		label: 'Run out on the ground',
		title: 'Reverse fill, run out on the ground and wound back',
		buys: 'The joint is tied once and the twist runs out; needs the whole length in a straight line: a beach, a field.'
	}
} as const;
export type ReverseWay = keyof typeof REVERSE_WAYS;
export const REVERSE_WAY_KEYS = /* @__PURE__ */ keys(REVERSE_WAYS);

/** The name that a strand has while it lies back to front: its turns then are not those of the finished fill. */
export const firstId = (id: string): string => `first.${id}`;
/** The strand behind that name; undefined for any other part. */
export const behindFirst = (part: string): string | undefined => /^first\.(.+)$/.exec(part)?.[1];

/** Which strands are turned round, in the order in which they go on back to front: the one that is wound to the gap last. */
export function backToFront<T>(stack: readonly T[], stopIndex: number, way: ReverseWay): readonly T[] {
	const over = stack.slice(stopIndex + 1);
	return [
		...stack.slice(0, stopIndex),
		// Over storage spools the rear end goes on first, so that it comes off last; otherwise all of it is joined already.
		...(way === 'spools' ? over : over.toReversed()),
		...stack.slice(stopIndex, stopIndex + 1)
	];
}
