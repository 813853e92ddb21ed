/** Longest text of a measure, with the unit that is added to a bare number. */
export const MOST_TYPED = 64;
export const MAX_RATINGS = 5;
export const MAX_COMPONENTS = 12;
export const MAX_TAPER_ROWS = 40;
export const SPOOL_WAYS = ['rated', 'measured', 'filled'] as const;
export const SPOOL_SHAPES = ['straight', 'dished', 'flared'] as const;
