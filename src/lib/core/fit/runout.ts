import { sectionVolumeMm3, totalLengthMm, type LineSection } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import type { Fit } from './solve';
import type { KnownComponent } from './stack';

/** The reel at one moment of a run. */
export interface RunoutPoint {
	/** Length that has left the spool, mm. */
	readonly outMm: number;
	readonly surfaceRadiusMm: number;
	/** Line taken in by one turn, mm: 2πr. */
	readonly retrieveMm: number;
	/**
	 * Pull on the line at a set drag, over the pull with the spool full: the brake's torque T is constant, so
	 * the pull is T/r and grows as r_full/r.
	 */
	readonly dragFactor: number;
	/** Component at the surface; none when the spool is bare. */
	readonly component: number | undefined;
}

/** Volume of the rear `lengthMm` of sections, mm³. */
function rearVolumeMm3(sections: readonly LineSection[], lengthMm: number): number {
	let left = lengthMm;
	let volume = 0;
	for (const section of sections) {
		const part = Math.min(left, section.lengthMm);
		if (part <= 0) break;
		volume += sectionVolumeMm3(section, part);
		left -= part;
	}
	return volume;
}

/**
 * The run-out of a wound stack as a function of the length that is out. Leaders and tips count with the
 * rest, from the outside in. Beyond the whole length the arbor is bare.
 */
export function runoutOf(
	spool: Spool,
	fit: Fit,
	stack: readonly KnownComponent[]
): (outMm: number) => RunoutPoint {
	const lengths = stack.map(({ sections }) => totalLengthMm(sections));
	const fullRadiusMm = fit.layers.at(-1)?.outerRadiusMm ?? spool.arborRadiusMm;
	const bases = fit.layers.map(({ innerRadiusMm }) => volumeToRadius(spool, innerRadiusMm));
	return (outMm) => {
		let left = Math.max(outMm, 0);
		let component = stack.length - 1;
		while (component >= 0 && left > lengths[component]!) left -= lengths[component--]!;
		const surfaceRadiusMm =
			component < 0
				? spool.arborRadiusMm
				: radiusAtVolume(
						spool,
						bases[component]! +
							rearVolumeMm3(stack[component]!.sections, lengths[component]! - left) /
								packingFraction(stack[component]!.layEfficiency)
					);
		return {
			outMm,
			surfaceRadiusMm,
			retrieveMm: 2 * Math.PI * surfaceRadiusMm,
			dragFactor: fullRadiusMm / surfaceRadiusMm,
			component: component < 0 ? undefined : component
		};
	};
}
