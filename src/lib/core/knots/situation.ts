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

/** What meets in a place, mm: the thinner and the thicker. Common practice. */
export const TYPICAL_MM: Record<KnotPlace, { readonly thin: number; readonly thick: number }> = {
	arbor: { thin: 0.45, thick: 0.45 },
	bed: { thin: 0.35, thick: 0.45 },
	loop: { thin: 0.45, thick: 0.45 },
	'backing-line': { thin: 0.45, thick: 1.1 },
	'line-line': { thin: 0.8, thick: 1.8 },
	'leader-line': { thin: 0.55, thick: 1.1 },
	tippet: { thin: 0.2, thick: 0.25 },
	wire: { thin: 0.4, thick: 0.4 }
};

/** What is asked of a place where nothing else is said. */
export const usualSituation = (place: KnotPlace): KnotSituation => ({
	place,
	thinMm: TYPICAL_MM[place].thin,
	thickMm: TYPICAL_MM[place].thick,
	loop: 'welded',
	swaps: 'seldom',
	water: 'fresh',
	slick: false,
	arbor: 'bare',
	cage: 'open',
	smooth: false,
	tools: ['tube', 'stiff-piece'],
	skill: 'yearly'
});
