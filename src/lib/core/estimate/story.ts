import { isKnown, type Stack } from '../fit/stack';
import type { Fit } from '../fit/solve';
import type { Spreads } from '../uncertainty/spreads';
import { depth } from './observations/depth';
import { diameter } from './observations/diameter';
import { gap } from './observations/gap';
import { length, LENGTH_SHARE } from './observations/length';
import { lineAlone, overLine } from './observations/line-alone';
import { measure } from './observations/measure';
import type { Observation } from './observations/observation';
import type { Observed } from './posterior';
import {
	AGAIN_SHARE,
	habitSigmaMm,
	type Amount,
	type AmountReading,
	type DepthReading,
	type Reading
} from './reading';
import {
	countOff,
	GIVING_WAY,
	HABIT,
	lengthOff,
	lostOff,
	unknownOff,
	type Lying,
	type Nuisance,
	type World
} from './world';

/** 1σ of a count of turns, as a share: one in 300. Assumption. */
export const COUNT_SHARE = 1 / 300;
/** 1σ of the share of its depth by which backing gives way under what is wound over it. Assumption. */
const GIVING_WAY_SHARE = 0.01;
/** 1σ of an amount that nobody knows, as a multiple of what was planned: as good as nothing. */
const UNKNOWN_SHARE = 3;

const OBSERVATIONS: { [K in Reading['kind']]?: Observation<Extract<Reading, { kind: K }>> } = {
	measure,
	diameter,
	depth,
	gap,
	'line-alone': lineAlone,
	'over-line': overLine
};

/** One reading with how the stack lay when it was taken, and what it observes. */
export interface Told {
	readonly reading: Reading;
	readonly lying: Lying;
	readonly observed: readonly Observed<World>[];
}

/** What somebody read, in order, put together. */
export interface Story {
	readonly told: readonly Told[];
	readonly nuisances: readonly Nuisance[];
	/** How it lies now. */
	readonly now: Lying;
	/** How it will lie at the end: another laying, where what is on above the backing has to come off first. */
	readonly end: Lying;
	/** What is going on or has gone on last, by its place; −1 for a bare spool. */
	readonly current: number;
	/** Something above the strand that is wound to the gap is on. */
	readonly covered: boolean;
}

/** Follows the readings in order: what is on, and which laying it is. */
class Telling {
	readonly amounts: (Amount | undefined)[];
	#laying = 0;
	#backingLaying = 0;
	covered = false;
	current = -1;
	readonly nuisances = new Map<string, Nuisance>();

	constructor(
		readonly stack: Stack,
		readonly stop: number,
		readonly plannedTurns: readonly number[]
	) {
		this.amounts = stack.map(() => undefined);
	}

	#uncertain(id: string, sigma: number, component?: number): string {
		this.nuisances.set(id, { id, sigma, component });
		return id;
	}

	#uncertainAmount(component: number, { turns, lost, lengthMm, lengthSigmaMm }: Amount): void {
		const planned = Math.max(this.plannedTurns[component]!, 1);
		const uncertain = (id: string, sigma: number): string => this.#uncertain(id, sigma, component);
		if (turns !== undefined) uncertain(countOff(component), COUNT_SHARE);
		if (lost) uncertain(lostOff(component, lost.id), lost.sigmaTurns ?? UNKNOWN_SHARE * planned);
		if (turns !== undefined) return;
		if (lengthMm !== undefined) uncertain(lengthOff(component), lengthSigmaMm ?? LENGTH_SHARE * lengthMm);
		else uncertain(unknownOff(component), UNKNOWN_SHARE * planned);
	}

	/** How it lies, with an amount that nobody has told yet taken from what is told later. */
	lying(later: readonly (Amount | undefined)[], laying = this.#laying): Lying {
		const amounts = this.amounts.map((amount, i) => amount ?? later[i]);
		const open = this.stack[this.stop];
		if (open && !isKnown(open) && this.covered) this.#uncertainAmount(this.stop, amounts[this.stop] ?? {});
		return {
			amounts,
			plannedTurns: this.plannedTurns,
			again: this.stack.map((_, i) => {
				if (i > this.stop && laying > 0) return this.#uncertain(`again ${laying}`, AGAIN_SHARE);
				if (i === this.stop && this.#backingLaying > 0)
					return this.#uncertain(`backing again ${this.#backingLaying}`, AGAIN_SHARE);
				return undefined;
			})
		};
	}

	/** Goes on to the moment of a reading. */
	follow(reading: Reading): void {
		switch (reading.kind) {
			case 'depth':
			case 'amount':
				if (reading.component <= this.stop) this.#uncover();
				else this.covered = true;
				this.current = reading.component;
				this.amounts[reading.component] = reading;
				this.#uncertainAmount(reading.component, reading);
				break;
			case 'gap':
				this.covered = true;
				this.current = this.stack.length - 1;
				break;
			case 'over-line':
				this.#uncertain(countOff(this.stop), COUNT_SHARE, this.stop);
				break;
		}
	}

	/** And past it: what was wound only to be measured comes off. */
	leave({ kind }: Reading): void {
		if (kind === 'line-alone') this.#laying ||= 1;
		if (kind === 'over-line') this.#backingLaying ||= 1;
	}

	#uncover(): void {
		if (this.covered) this.#laying++;
		this.covered = false;
	}

	get lastLaying(): number {
		return this.covered ? this.#laying + 1 : this.#laying;
	}
}

/** Nothing is read better than this share of itself, whatever is said of it: a reading without any doubt would count for ever. */
const LEAST_SHARE = 1e-5;

const isAmount = (reading: Reading): reading is AmountReading | DepthReading =>
	reading.kind === 'depth' || reading.kind === 'amount';

function observedBy(
	reading: Reading,
	lying: Lying,
	stack: Stack,
	stop: number,
	spreads: Spreads
): Observed<World>[] {
	const made = <R extends Reading>(of: Observation<R>, by: R): Observed<World> => {
		const value = of.value(by);
		const sigma = Math.max(of.sigma(by, spreads), LEAST_SHARE * Math.abs(value), LEAST_SHARE);
		return { value, sigma, predict: of.predict(by, lying, stop) };
	};
	const own = OBSERVATIONS[reading.kind] as Observation | undefined;
	const both = isAmount(reading) && reading.turns !== undefined && reading.lengthMm !== undefined;
	return [
		...(own ? [made(own, reading)] : []),
		...(both && !isKnown(stack[reading.component]!) ? [made(length, reading)] : [])
	];
}

/** Puts readings together, in their order. `stop` is the place of the strand that is wound to the gap; −1 when there is none. */
export function storyOf(
	stack: Stack,
	stop: number,
	planned: Fit,
	readings: readonly Reading[],
	spreads: Spreads
): Story {
	const plannedTurns = planned.layers.map(({ turns }) => turns);
	const later = stack.map(
		(_, i) => readings.findLast((r) => isAmount(r) && r.component === i) as Amount | undefined
	);
	const telling = new Telling(stack, stop, plannedTurns);
	const told = readings.map((reading): Told => {
		telling.follow(reading);
		const lying = telling.lying(later);
		const observed = observedBy(reading, lying, stack, stop, spreads);
		telling.leave(reading);
		return { reading, lying, observed };
	});
	const now = telling.lying(later);
	const end = telling.lying(later, telling.lastLaying);
	telling.nuisances.set(HABIT, { id: HABIT, sigma: habitSigmaMm(spreads) });
	telling.nuisances.set(GIVING_WAY, { id: GIVING_WAY, sigma: GIVING_WAY_SHARE });
	return {
		told,
		now,
		end,
		nuisances: [...telling.nuisances.values()],
		current: telling.current,
		covered: telling.covered
	};
}
