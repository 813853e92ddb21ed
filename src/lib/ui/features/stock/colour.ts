import type { StockForm } from '$lib/stock/stock';

/** The colour that something on the shelf is drawn in: its own, or that of all backing. */
export const drawnColour = ({ colour }: Pick<StockForm, 'colour'>): string => colour || 'var(--backing)';
