import { AGAIN_SHARE, depthSigmaMm, habitSigmaMm } from '../estimate/reading';
import { spoolOf } from '../calibrate/source';
import type { Fit } from '../fit/solve';
import { isKnown } from '../fit/stack';
import { surfaceAt, windSection, type Surface } from '../fit/wind';
import { crossSectionMm2, totalVolumeMm3, type LineSection } from '../line/sections';
import type { Random } from '../numeric/random';
import { packingFraction } from '../packing/packing';
import { areaToRadius, radiusAtArea, radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import type { Problem } from '../uncertainty/inputs';
import { jointInputs } from '../uncertainty/joint';
import type { Spreads } from '../uncertainty/spreads';

/** What the person at the table knows, and what they set out from. */
export interface Belief {
	readonly problem: Problem;
	/** The spool as it is believed to be. */
	readonly spool: Spool;
	readonly planned: Fit;
	readonly solved: NonNullable<Fit['solved']>;
	readonly spreads: Spreads;
}

/**
 * One true spool, line and backing, on which a method is played. A method sees it through readings only:
 * `readDepthMm` and counts of turns; the rest is what its deeds do.
 */
export class World {
	readonly #truth: Problem;
	readonly #spool: Spool;
	readonly #random: Random;
	readonly #belief: Belief;
	readonly #belowMm3: number;
	readonly #aboveMm3: number;
	readonly #above: readonly { sections: readonly LineSection[]; packing: number }[];
	/** Space and cross-section of the backing's millimetre and turn, over its packing. */
	readonly #perMm: number;
	readonly #habitMm: number;

	private constructor(belief: Belief, truth: Problem, spool: Spool, random: Random) {
		[this.#belief, this.#truth, this.#spool, this.#random] = [belief, truth, spool, random];
		this.#habitMm = this.off(habitSigmaMm(belief.spreads));
		const { index } = belief.solved;
		const known = truth.stack.map((c) =>
			isKnown(c) ? { sections: c.sections, packing: packingFraction(c.layEfficiency) } : undefined
		);
		const space = (part: typeof known): number =>
			part.reduce((sum, c) => sum + (c ? totalVolumeMm3(c.sections) / c.packing : 0), 0);
		this.#belowMm3 = space(known.slice(0, index));
		this.#aboveMm3 = space(known.slice(index + 1));
		this.#above = known.slice(index + 1).flatMap((c) => (c ? [c] : []));
		const backing = truth.stack[index]!;
		if (isKnown(backing)) throw new RangeError(`component ${index} has a length already`);
		this.#perMm = crossSectionMm2(backing.diameterMm) / packingFraction(backing.layEfficiency);
	}

	/** A world as likely as the spreads make it. Undefined when chance made no spool. */
	static draw(belief: Belief, random: Random): World | undefined {
		const { labels, moved } = jointInputs(belief.problem, belief.spreads);
		const truth = moved(labels.map(() => random.normal()));
		const built = spoolOf(truth.source);
		return built.ok ? new World(belief, truth, built.value.spool, random) : undefined;
	}

	/** A deviate of this σ. */
	off(sigma: number): number {
		return sigma * this.#random.normal();
	}

	#surface(filledMm3: number): Surface {
		return surfaceAt(this.#spool, Math.max(filledMm3, 0));
	}

	/** What a rule reads too much, as the mean of as many places: its own and its user's habit, and each place by chance. */
	#ruleOff(places: number): number {
		return this.#habitMm + this.off(depthSigmaMm({ places }, this.#belief.spreads));
	}

	/** A rule laid across the rims, down to a surface: the mean of as many places. */
	readDepthMm(surface: Surface, places = 1): number {
		return this.#spool.rimRadiusMm - surface.radiusMm + this.#ruleOff(places);
	}

	/** What is under the backing, if anything. */
	get floor(): Surface {
		return this.#surface(this.#belowMm3);
	}

	/** So many turns of backing on a surface. */
	windTurns(from: Surface, turns: number): Surface {
		const areaMm2 = areaToRadius(this.#spool, from.radiusMm) + turns * this.#perMm;
		const radiusMm = radiusAtArea(this.#spool, Math.max(areaMm2, 0));
		return { radiusMm, filledMm3: volumeToRadius(this.#spool, radiusMm) };
	}

	/** So much backing on a surface. */
	windLength(from: Surface, lengthMm: number): Surface {
		return this.#surface(from.filledMm3 + Math.max(lengthMm, 0) * this.#perMm);
	}

	/** Backing until a rule reads this depth, as the mean of as many places. */
	windToDepth(depthMm: number, places = 1): Surface {
		const radiusMm = this.#spool.rimRadiusMm - depthMm + this.#ruleOff(places);
		return this.#surface(
			Math.max(volumeToRadius(this.#spool, Math.max(radiusMm, this.#spool.arborRadiusMm)), this.#belowMm3)
		);
	}

	/** Everything that goes over the backing, on a surface; a second laying comes out a little otherwise. */
	windRest(from: Surface, again = false): Surface {
		const relay = again ? 1 + this.off(AGAIN_SHARE) : 1;
		return this.#surface(from.filledMm3 + this.#aboveMm3 * relay);
	}

	/** Turns that everything over the backing takes on a surface. */
	turnsOfRest(from: Surface): number {
		let surface = from;
		let turns = 0;
		for (const { sections, packing } of this.#above)
			for (const section of sections) {
				const wound = windSection(this.#spool, surface, section, packing);
				surface = wound.surface;
				turns += wound.turns;
			}
		return turns;
	}

	gapMm(surface: Surface): number {
		return this.#spool.gapFromRadiusMm - surface.radiusMm;
	}

	/** Backing from a surface until the gap looks right: its length and turns, and what a second laying makes of it. */
	fillToGap(from: Surface, gapMm: number): { lengthMm: number; turns: number; again: Surface } {
		const seen = Math.max(this.#spool.gapFromRadiusMm - gapMm + this.#ruleOff(1), from.radiusMm);
		const spaceMm3 = volumeToRadius(this.#spool, seen) - from.filledMm3;
		const turns = (areaToRadius(this.#spool, seen) - areaToRadius(this.#spool, from.radiusMm)) / this.#perMm;
		const again = this.#surface(this.#belowMm3 + spaceMm3 * (1 + this.off(AGAIN_SHARE)));
		return { lengthMm: spaceMm3 / this.#perMm, turns, again };
	}

	/** Depth at which stopping would be exactly right: what an eye that never erred would see. */
	get rightDepthMm(): number {
		const surfaceMm = this.#spool.gapFromRadiusMm - this.#belief.problem.gapMm;
		const roomMm3 = volumeToRadius(this.#spool, Math.max(surfaceMm, this.#spool.arborRadiusMm));
		const right = radiusAtVolume(this.#spool, Math.max(roomMm3 - this.#aboveMm3, this.#belowMm3));
		return this.#spool.rimRadiusMm - right;
	}

	/** Space under the surface that leaves `gapMm`, mm³. */
	spaceToGapMm3(gapMm: number): number {
		const surfaceMm = Math.max(this.#spool.gapFromRadiusMm - gapMm, this.#spool.arborRadiusMm);
		return volumeToRadius(this.#spool, surfaceMm);
	}

	get truth(): Problem {
		return this.#truth;
	}
}
