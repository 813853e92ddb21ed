import { fail, ok, type Result } from '../issues';
import type { StrandDensity } from './strand';

/** A backing as it is sold: what it is, how thick it lies on a spool, and how sure that is. */
export interface BackingMaterial {
	readonly slug: string;
	readonly label: string;
	/** How it is called where there is little room. */
	readonly short: string;
	/** Diameter under winding tension, mm. */
	readonly diameterMm: number;
	/** Spread between makers, 1σ, as a share of the diameter. */
	readonly diameterSpread: number;
	/** Density of the strand as it lies, air in the braid included, g/cm³, and its 1σ as a share. Assumption, from memory. */
	readonly density: StrandDensity;
	readonly source: string;
	/** How it wears on sand and rock: with its thickness, what it is chosen by. Common practice. */
	readonly wears: string;
	/** Thin and slippery under load: cuts fingers, slips on a bare arbor. */
	readonly cuts: boolean;
}

const WEARS: readonly [prefix: string, wears: string][] = [
	[
		'polyester-20',
		'Soft and round: it grows fluffy on sand and rock before it breaks, so you see it coming.'
	],
	['polyester-30', 'Half as thick again as 20 lb, so it stands more sand and rock; takes the room for it.'],
	[
		'gel-spun',
		'Slick and hard for its thickness, but so thin that one cut fibre tells: watch it among rocks.'
	],
	['mono', 'Smooth and hard to wear through; under the backing it never meets a rock.']
];
const wearsOf = (slug: string): string => WEARS.find(([prefix]) => slug.startsWith(prefix))![1];

const FROM_MEMORY = 'common practice, from memory; wraps on a rule or calipers on yours are better';

const DENSITY: readonly [prefix: string, density: StrandDensity][] = [
	['polyester', { gPerCm3: 0.9, share: 0.08 }],
	['gel-spun', { gPerCm3: 0.75, share: 0.1 }],
	['mono', { gPerCm3: 1.14, share: 0.02 }]
];
const densityOf = (slug: string): StrandDensity => DENSITY.find(([prefix]) => slug.startsWith(prefix))![1];

/**
 * The usual backings. Diameters of braid differ between makers by as much as a fifth, so each carries
 * a wide spread; the stop depth does not need them.
 */
export const BACKING_MATERIALS: readonly BackingMaterial[] = [
	{
		slug: 'polyester-20',
		label: 'Braided polyester, 20 lb',
		short: '20 lb polyester',
		diameterMm: 0.48,
		diameterSpread: 0.05,
		cuts: false
	},
	{
		slug: 'polyester-30',
		label: 'Braided polyester, 30 lb',
		short: '30 lb polyester',
		diameterMm: 0.6,
		diameterSpread: 0.05,
		cuts: false
	},
	{
		slug: 'gel-spun-30',
		label: 'Gel-spun braid, 30 lb',
		short: '30 lb gel-spun',
		diameterMm: 0.28,
		diameterSpread: 0.07,
		cuts: true
	},
	{
		slug: 'gel-spun-50',
		label: 'Gel-spun braid, 50 lb',
		short: '50 lb gel-spun',
		diameterMm: 0.36,
		diameterSpread: 0.07,
		cuts: true
	},
	{
		slug: 'gel-spun-65',
		label: 'Gel-spun braid, 65 lb',
		short: '65 lb gel-spun',
		diameterMm: 0.42,
		diameterSpread: 0.07,
		cuts: true
	},
	{
		slug: 'mono-20',
		label: 'Mono bed, 20 lb',
		short: '20 lb mono',
		diameterMm: 0.45,
		diameterSpread: 0.04,
		cuts: false
	}
].map((material) => ({
	...material,
	density: densityOf(material.slug),
	wears: wearsOf(material.slug),
	source: FROM_MEMORY
}));

const key = (slug: string): string => slug.toLowerCase().replace(/[^a-z0-9]/g, '');
const BY_KEY = new Map(BACKING_MATERIALS.map((material) => [key(material.slug), material]));

/** Finds a material by its slug; case and hyphens do not matter. Issue `unknown_material`. */
export function findMaterial(slug: string): Result<BackingMaterial> {
	const found = BY_KEY.get(key(slug));
	return found
		? ok(found)
		: fail({ code: 'unknown_material', text: slug, known: BACKING_MATERIALS.map((m) => m.slug) });
}
