import { spoolOf } from '../calibrate/source';
import { windingAfter } from '../run/winding';
import { isKnown, spaceMm3, type Component, type Stack } from '../fit/stack';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import type { Spool } from '../spool';
import type { InputLabel } from '../uncertainty/inputs';
import type { JointInputs } from '../uncertainty/joint';
import type { Amount } from './reading';
import type { Space } from './posterior';
import { areaOfRadius, radiusOfArea, radiusOfVolume, volumeOfRadius } from './surfaces';

/** Something that may be off and is no input of the problem: a count, a rule, a strand laid a second time. */
export interface Nuisance {
	readonly id: string;
	readonly sigma: number;
	/** The strand whose amount it belongs to. */
	readonly component?: number | undefined;
}

/** A spool, its stack and what else may be off, as they might truly be. */
export interface World {
	readonly spool: Spool;
	readonly stack: Stack;
	/** How far a nuisance is off; 0 for one that isn't uncertain. */
	readonly off: (id: string) => number;
}

/** What a deviation of the state belongs to. */
export type StateLabel = InputLabel | { readonly key: 'reading' };

/** The state: the inputs of a problem and the nuisances of its readings, each a standard-normal deviation. */
export interface State extends Space<World> {
	readonly labels: readonly StateLabel[];
	/** Place of a nuisance in the state. */
	readonly placeOf: (id: string) => number;
}

export function stateOf(
	{ labels, moved }: JointInputs,
	nuisances: readonly Nuisance[],
	sigmas?: readonly number[]
): State {
	const inputs = labels.length;
	const places = new Map(nuisances.map(({ id }, i) => [id, inputs + i]));
	return {
		count: inputs + nuisances.length,
		sigmas,
		labels: [...labels, ...nuisances.map(() => ({ key: 'reading' }) as const)],
		placeOf: (id) => places.get(id) ?? -1,
		worldAt: (x) => {
			const { source, stack } = moved(x);
			const built = spoolOf(source);
			if (!built.ok || !stack.every(hasBulk)) return undefined;
			return {
				spool: built.value.spool,
				stack,
				off: (id) => {
					const at = places.get(id);
					return at === undefined ? 0 : x[at]! * nuisances[at - inputs]!.sigma;
				}
			};
		}
	};
}

const hasBulk = (component: Component): boolean =>
	isKnown(component) ? spaceMm3(component) >= 0 : component.diameterMm > 0;

/** How a stack lies at one moment: which amounts were counted, and which laying of the strands above the backing it is. */
export interface Lying {
	/** Amount of each component, where somebody counted or measured it. */
	readonly amounts: readonly (Amount | undefined)[];
	/** Names of the nuisances by which a strand laid again differs, one a component; none at the first laying. */
	readonly again: readonly (string | undefined)[];
	/** What each component is expected to take, turns: an amount that nobody knows is looked for around it. */
	readonly plannedTurns: readonly number[];
}

/** Names of what may be off in an amount. */
export const countOff = (component: number): string => `count ${component}`;
export const lostOff = (component: number, id: string): string => `lost ${component} ${id}`;
export const lengthOff = (component: number): string => `length ${component}`;
export const unknownOff = (component: number): string => `unknown ${component}`;
export const HABIT = 'habit';
export const GIVING_WAY = 'giving way';

/** Packing over cross-section, 1/mm²: what turns and depths show of a strand, η/d² but for a factor. */
export const layOf = (component: Component): number => 1 / spacePerMm(component);

/** Space of a millimetre of a strand, mm³ (and of one turn, mm² of cross-section). */
export const spacePerMm = (component: Component, again = 0): number => {
	const diameterMm = isKnown(component) ? component.sections[0]!.startDiameterMm : component.diameterMm;
	return (crossSectionMm2(diameterMm) / packingFraction(component.layEfficiency)) * (1 + again);
};

const again = (world: World, lying: Lying, index: number): number => {
	const id = lying.again[index];
	return id === undefined ? 0 : world.off(id);
};

/** Space that a whole strand of known length takes, mm³. */
export const wholeMm3 = (world: World, lying: Lying, index: number): number =>
	spaceMm3(world.stack[index]!) * (1 + again(world, lying, index));

/** Fewer turns than none are as good as none: a slope is left so that a search finds its way back. */
const BELOW_NONE = 1e-6;
const someTurns = (turns: number): number => (turns >= 0 ? turns : BELOW_NONE * turns);

/** Turns that are truly on: as counted, else as planned and off by as much as nobody knows. */
export const turnsOn = (world: World, lying: Lying, index: number, { turns, lost }: Amount): number =>
	someTurns(
		turns === undefined
			? lying.plannedTurns[index]! + world.off(unknownOff(index))
			: turns * (1 + world.off(countOff(index))) + (lost ? world.off(lostOff(index, lost.id)) : 0)
	);

/** Space filled when so many turns of a strand lie on a fill, mm³. */
export function afterTurns(
	world: World,
	lying: Lying,
	index: number,
	fromMm3: number,
	turns: number
): number {
	const { spool, stack } = world;
	const component = stack[index]!;
	const more = 1 + again(world, lying, index);
	if (!isKnown(component)) {
		const area = areaOfRadius(spool, radiusOfVolume(spool, fromMm3));
		return volumeOfRadius(spool, radiusOfArea(spool, area + turns * spacePerMm(component) * more));
	}
	const start = Math.max(fromMm3, 0);
	const wound = windingAfter(spool, radiusOfVolume(spool, start), component, turns);
	return fromMm3 + (wound.surface.filledMm3 - start) * more;
}

/** Space filled when so much of a strand lies on a fill, mm³. */
export function afterAmount(world: World, lying: Lying, index: number, fromMm3: number, on: Amount): number {
	if (on.turns !== undefined || on.lengthMm === undefined)
		return afterTurns(world, lying, index, fromMm3, turnsOn(world, lying, index, on));
	const lengthMm = on.lengthMm + world.off(lengthOff(index));
	return fromMm3 + lengthMm * spacePerMm(world.stack[index]!, again(world, lying, index));
}

/** Space filled by everything under a component, mm³. */
export function under(world: World, lying: Lying, index: number): number {
	let filledMm3 = 0;
	for (let i = 0; i < index; i++)
		filledMm3 = isKnown(world.stack[i]!)
			? filledMm3 + wholeMm3(world, lying, i)
			: afterAmount(world, lying, i, filledMm3, lying.amounts[i] ?? {});
	return filledMm3;
}

/** Space of all that comes over a component, mm³. */
export const over = (world: World, lying: Lying, index: number): number =>
	world.stack.reduce((sum, _, i) => (i > index ? sum + wholeMm3(world, lying, i) : sum), 0);

/** By how much backing pressed by what is wound over it gives way, mm. */
export const givesWayMm = (world: World, startMm3: number, endMm3: number): number =>
	world.off(GIVING_WAY) * (radiusOfVolume(world.spool, endMm3) - radiusOfVolume(world.spool, startMm3));
