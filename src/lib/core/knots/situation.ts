/** Where two things meet. */
export const KNOT_PLACES = {
	arbor: 'Backing on the arbor',
	bed: 'Mono bed to backing',
	loop: 'A loop in the backing',
	'backing-line': 'Backing to the line',
	'line-line': 'Running line, head or tip',
	'leader-line': 'Leader to the line',
	tippet: 'Leader to tippet',
	wire: 'Wire bite leader'
} as const;
export type KnotPlace = keyof typeof KNOT_PLACES;

export const KNOT_TOOLS = {
	tube: 'thin tube',
	'nail-tool': 'grooved tool',
	'stiff-piece': 'stiff piece and fine mono',
	needle: 'needle',
	glue: 'flexible glue or resin',
	crimper: 'crimping tool'
} as const;
export type KnotTool = keyof typeof KNOT_TOOLS;

export interface KnotSituation {
	readonly place: KnotPlace;
	/** The thinner of the two, and the thicker, mm; what it is on the arbor: the backing alone. */
	readonly thinMm: number;
	readonly thickMm: number;
	/** Whether the line's end has a loop. */
	readonly loop: 'welded' | 'none';
	/** How often what is outside this joint will be changed. */
	readonly swaps: 'often' | 'seldom' | 'never';
	readonly water: 'fresh' | 'salt';
	/** Thin slick braid, such as gel-spun. */
	readonly slick: boolean;
	/** What is under the first turns. */
	readonly arbor: 'bare' | 'tape' | 'mono';
	readonly cage: 'open' | 'closed';
	/** Whether the joint has to pass the guides smoothly: small rings, or cast with. */
	readonly smooth: boolean;
	readonly tools: readonly KnotTool[];
	readonly skill: 'first' | 'yearly' | 'daily';
}
