import { DENSITIES, type Density } from './class';
import { BACKING_MATERIALS } from './material';
import type { StrandDensity } from './strand';

/** The density of a line by how it fishes, with its 1σ as a share. */
export const lineDensity = (density: Density): StrandDensity => {
	const { gPerCm3, sigma } = DENSITIES[density];
	return { gPerCm3, share: sigma / gPerCm3 };
};

/** A density that was given as a number: as uncertain as the kind of strand that it is nearest to. */
export function densityOf(gPerCm3: number): StrandDensity {
	const kinds = [
		...BACKING_MATERIALS.map(({ density }) => density),
		...(Object.keys(DENSITIES) as Density[]).map(lineDensity)
	];
	const off = (kind: StrandDensity): number => Math.abs(kind.gPerCm3 - gPerCm3);
	const { share } = kinds.reduce((nearest, kind) => (off(kind) < off(nearest) ? kind : nearest));
	return { gPerCm3, share };
}
