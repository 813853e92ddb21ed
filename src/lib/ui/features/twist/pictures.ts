import type { Leaving, Onto, TwistSource } from '$lib/core';

/** Small drawings of what is chosen, 48 by 32: paths of lines. Arrows say what moves. */
export const SOURCE_PICTURES: Record<TwistSource, string> = {
	'maker-coil': 'M24 4a12 12 0 1 0 .1 0M24 8a8 8 0 1 0 .1 0M10 13l6 3M38 13l-6 3M24 28v-6',
	'line-spool': 'M12 4v24M36 4v24M12 8h24M12 24h24M12 12h24M12 16h24M12 20h24',
	'bulk-spool': 'M8 3h4v26h-4zM36 3h4v26h-4zM12 7h24M12 11h24M12 15h24M12 19h24M12 23h24',
	reel: 'M22 3a12 12 0 1 0 .1 0M22 10a5 5 0 1 0 .1 0M22 15h14M36 12v6M16 3h12v-2h-12z',
	loose: 'M20 8c-14 4-8 20 4 17s12-18 0-17s-10 16 2 17s16-10 8-15s-22 0-16 9',
	'laid-out': 'M3 16h42M3 13v6M45 13v6'
};
export const LEAVING_PICTURES: Record<Leaving, string> = {
	turning: 'M10 8a8 8 0 1 0 .1 0M10 14a2 2 0 1 0 .1 0M10 8h34M4 5a11 11 0 0 0-2 8M2 13l-2-4M2 13l4-2',
	'over-side': 'M6 6v20M14 6v20M6 10h8M6 14h8M6 18h8M6 22h8M14 8c10 0 8 8 16 8h14M40 12l4 4l-4 4',
	bowl: 'M4 12c0 22 28 22 28 0M12 18l4-4l4 4l-4 4zM17 14c6-10 14-8 27-8M40 3l4 3l-4 3',
	'both-sides':
		'M20 6v20M28 6v20M20 10h8M20 14h8M20 18h8M20 22h8M28 8h16M40 5l4 3l-4 3M20 24h-16M8 21l-4 3l4 3'
};
export const ONTO_PICTURES: Record<Onto, string> = {
	reel: 'M30 3a12 12 0 1 0 .1 0M30 10a5 5 0 1 0 .1 0M4 3h26M16 0l4 3l-4 3M30 15h10M40 12v6',
	'hand-coils': 'M28 6a10 10 0 1 0 .1 0M28 9a7 7 0 1 0 .1 0M4 6h24M14 3l4 3l-4 3',
	'figure-eight': 'M24 16c-8-12-20-8-20 0s12 12 20 0s20-8 20 0s-12 12-20 0'
};
