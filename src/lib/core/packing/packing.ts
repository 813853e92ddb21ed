/**
 * How much of a spool's space the material itself fills.
 *
 * Perfect square lay (each wrap takes d × d) fills π/4; it is the assumption behind the handbook drum
 * formula. A lay efficiency η multiplies it. Hexagonal nesting, π/√12, is the densest packing of equal
 * circles (A. Thue, 1910): nothing can lie denser.
 */
export const SQUARE_PACKING = Math.PI / 4;
export const HEXAGONAL_PACKING = Math.PI / Math.sqrt(12);

/** The largest η there can be: hexagonal over square, 2/√3 ≈ 1.155. */
export const MAX_LAY_EFFICIENCY = HEXAGONAL_PACKING / SQUARE_PACKING;

/** φ = η·π/4, the share of space filled. */
export const packingFraction = (layEfficiency: number): number => layEfficiency * SQUARE_PACKING;

/** Ways of winding backing and the lay they give. Common practice put into numbers: an assumption. */
export const WINDING_HANDS = {
	machine: { layEfficiency: 0.96, label: 'by machine' },
	firm: { layEfficiency: 0.9, label: 'by hand, firm' },
	loose: { layEfficiency: 0.8, label: 'by hand, loose' }
} as const;

export type WindingHand = keyof typeof WINDING_HANDS;

/** Fly line wound by hand: it keeps some of its coils, so it lies a little looser. An assumption. */
export const LINE_LAY_EFFICIENCY = 0.88;
export const BACKING_LAY_EFFICIENCY = WINDING_HANDS.firm.layEfficiency;
