/** Whose rack a browser shows: the person's own, or a sample kit room's, to try things in and throw away. */
export const PLACES = ['own', 'sample'] as const;
export type Place = (typeof PLACES)[number];

/** The header in which a page says which place it belongs to: it never writes into the other one. */
export const PLACE_HEADER = 'wendle-place';
