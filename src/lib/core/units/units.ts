/**
 * Exact conversion factors, and brands so that a length in one unit never passes for another.
 *
 * Source: NIST Special Publication 811 (2008), appendix B: 1 in = 25.4 mm, 1 ft = 304.8 mm,
 * 1 yd = 914.4 mm, 1 grain = 64.798 91 mg, all exact.
 */
declare const unit: unique symbol;
export type Millimetres = number & { readonly [unit]: 'mm' };
export type Grams = number & { readonly [unit]: 'g' };

export const LENGTH_UNITS_MM = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, yd: 914.4 } as const;
export const MASS_UNITS_G = { g: 1, kg: 1000, mg: 0.001, gr: 0.064_798_91 } as const;

export type LengthUnit = keyof typeof LENGTH_UNITS_MM;
export type MassUnit = keyof typeof MASS_UNITS_G;

/** `value` of `from`, as millimetres. */
export const toMm = (value: number, from: LengthUnit): Millimetres =>
	(value * LENGTH_UNITS_MM[from]) as Millimetres;

/** Millimetres expressed in `to`. */
export const fromMm = (valueMm: number, to: LengthUnit): number => valueMm / LENGTH_UNITS_MM[to];

/** `value` of `from`, as grams. */
export const toGrams = (value: number, from: MassUnit): Grams => (value * MASS_UNITS_G[from]) as Grams;

/** Grams expressed in `to`. */
export const fromGrams = (valueG: number, to: MassUnit): number => valueG / MASS_UNITS_G[to];
