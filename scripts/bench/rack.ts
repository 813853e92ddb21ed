import {
	learnRack,
	learntFor,
	seededRandom,
	solveFit,
	spoolOf,
	startingFrom,
	DEFAULT_SPREADS,
	taperOf,
	totalVolumeMm3,
	type Component,
	type Problem,
	type RackWinding,
	type Random,
	type Things
} from '../../src/lib/core';
import { rowsOf, tallies } from './estimate';

/**
 * What a rack that has learnt is worth, by a simulation of its own: straight spools, in the formulas of a cylinder. Six spools, two
 * people, ten windings; then one more by the plain plan, with what was learnt and without. The default spreads are the truth.
 */

const GAP_MM = 4;
const HABIT_MM = 0.1;
const PLACE_MM = Math.sqrt(DEFAULT_SPREADS.depthMm ** 2 - HABIT_MM ** 2);
const REPEAT = 0.02;
const OWN = { line: 0.03, backing: 0.015 };

const SPOOLS = [
	{ rimDiameterMm: 85, arborDiameterMm: 40, widthMm: 22 },
	{ rimDiameterMm: 85, arborDiameterMm: 40, widthMm: 22 },
	{ rimDiameterMm: 92, arborDiameterMm: 46, widthMm: 24 },
	{ rimDiameterMm: 92, arborDiameterMm: 46, widthMm: 24 },
	{ rimDiameterMm: 100, arborDiameterMm: 52, widthMm: 26 },
	{ rimDiameterMm: 80, arborDiameterMm: 36, widthMm: 20 }
];
const LINES = [5, 6, 6, 7, 5];
const NEW_LINE = LINES.length;
const NUMBERS = [...LINES, 6];
/** Spool, line and winder of each of the ten windings. */
const WOUND = [
	[0, 0, 0],
	[1, 1, 1],
	[2, 2, 0],
	[3, 3, 1],
	[4, 3, 0],
	[5, 4, 1],
	[0, 4, 1],
	[1, 0, 0],
	[2, 1, 1],
	[3, 2, 0]
] as const;
/** The one after: a spool that was wound before, a line that was wound on another one, or one that nobody has wound yet. */
const AFTER = { 'a line wound before, on another spool': [0, 2, 0], 'a new line': [0, NEW_LINE, 0] } as const;

const backing: Component = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 };
const lineOf = (line: number): Component => ({
	role: 'line',
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number: NUMBERS[line % NUMBERS.length]!, density: 'F' })
});
const problemOf = (spool: number, line: number): Problem => ({
	source: { kind: 'measured', ...SPOOLS[spool % SPOOLS.length]! },
	stack: [backing, lineOf(line)],
	gapMm: GAP_MM
});
const planOf = ({ source, stack, gapMm }: Problem) => {
	const built = spoolOf(source);
	const fit = built.ok ? solveFit(built.value.spool, stack, gapMm) : built;
	if (!fit.ok) throw new Error('no plan');
	return fit.value.solved!;
};

/** How everything of one rack truly is. */
class TrueRack {
	readonly #random: Random;
	readonly #spools;
	readonly #lines;
	readonly #backings = new Map<number, { diameter: number; lay: number }>();
	readonly #backingOf: (at: number) => number;
	readonly #winders;
	readonly #backingKind: number;

	/** @param copies how often the six spools and their lines are there */
	constructor(random: Random, backingOf: (at: number) => number, copies = 1) {
		this.#random = random;
		this.#backingOf = backingOf;
		const n = random.normal;
		const many = <T>(things: readonly T[]): T[] => Array.from({ length: copies }, () => things).flat();
		this.#spools = many(SPOOLS).map(({ rimDiameterMm, arborDiameterMm, widthMm }) => ({
			rim: (rimDiameterMm + 0.4 * n()) / 2,
			arbor: (arborDiameterMm + 0.6 * n()) / 2,
			width: widthMm + 0.4 * n()
		}));
		const kinds = new Map<number, number>();
		this.#lines = many(NUMBERS).map((number) => {
			const kind = kinds.get(number) ?? Math.sqrt(0.05 ** 2 - OWN.line ** 2) * n();
			kinds.set(number, kind);
			return { bulk: 1 + kind + OWN.line * n(), lay: Math.sqrt(0.03 ** 2 - REPEAT ** 2) * n() };
		});
		this.#backingKind = Math.sqrt(0.05 ** 2 - OWN.backing ** 2) * n();
		this.#winders = [0, 1].map(() => ({
			all: 0.06 * Math.SQRT1_2 * n(),
			backing: 0.03 * n(),
			line: 0.03 * n(),
			habit: HABIT_MM * n()
		}));
	}

	/** One winding of a line over a backing of its own: what its maker can do with it. */
	wind(spool: number, line: number, winder: number, at: number) {
		const n = this.#random.normal;
		const { rim, arbor, width } = this.#spools[spool]!;
		const hand = this.#winders[winder]!;
		const strand = this.#lines[line]!;
		const own = this.#backings.get(this.#backingOf(at)) ?? {
			diameter: 0.48 * (1 + this.#backingKind + OWN.backing * n()),
			lay: Math.sqrt(0.03 ** 2 - REPEAT ** 2) * n()
		};
		this.#backings.set(this.#backingOf(at), own);
		const turn = own.diameter ** 2 / (0.9 * Math.exp(hand.all + hand.backing + own.lay + REPEAT * n()));
		const laid = 0.88 * Math.exp(hand.all + hand.line + strand.lay + REPEAT * n());
		const { sections } = lineOf(line) as { sections: Parameters<typeof totalVolumeMm3>[0] };
		const over = ((4 / Math.PI) * totalVolumeMm3(sections) * strand.bulk) / laid;
		const off = (): number => hand.habit + PLACE_MM * n();
		const [readStop, readGap] = [off(), off()];
		const depthAfter = (turns: number): number => rim - arbor - (turns * turn) / width;
		const gap = (turns: number): number =>
			rim - Math.sqrt((rim - depthAfter(turns)) ** 2 + over / (Math.PI * width));
		return {
			gap,
			turnsToDepth: (depthMm: number): number => ((rim - (depthMm - readStop) - arbor) * width) / turn,
			readGap: (turns: number): number => gap(turns) + readGap
		};
	}
}

/** Where the backing of each winding comes from. */
const BACKINGS = { 'one bulk spool': () => 0, 'a spool of its own': (at: number) => at } as const;
type BackingFrom = keyof typeof BACKINGS;

const thingsOf = (spool: number, line: number, winder: number, at: number, from: BackingFrom): Things => ({
	spool: `${spool}`,
	winder: `${winder}`,
	years: 0,
	strands: [
		{ id: `backing ${BACKINGS[from](at)}`, kind: 'backing', laid: `${at}` },
		{ id: `line ${line}`, kind: `WF${NUMBERS[line % NUMBERS.length]}F`, laid: `${at}` }
	]
});

/** Ten windings of one true rack, as somebody would have noted them: turns, the stop's depth, the gap. */
function windingsOf(rack: TrueRack, from: BackingFrom, copies = 1): RackWinding[] {
	const wound = Array.from({ length: copies }, (_, copy) =>
		WOUND.map(([spool, line, winder]) => {
			return [spool + copy * SPOOLS.length, line + copy * NUMBERS.length, winder] as const;
		})
	);
	return wound.flat().map(([spool, line, winder], at) => {
		const problem = problemOf(spool, line);
		const { stopDepthMm: depthMm } = planOf(problem);
		const wound = rack.wind(spool, line, winder, at);
		const turns = wound.turnsToDepth(depthMm);
		return {
			id: `${at}`,
			...thingsOf(spool, line, winder, at, from),
			problem,
			spreads: DEFAULT_SPREADS,
			readings: [
				{ kind: 'depth', component: 0, turns, depthMm },
				{ kind: 'gap', gapMm: wound.readGap(turns) }
			]
		};
	});
}

/** The eleventh winding by the plain plan, without a reading: from what was learnt, and as if nothing had been. */
export function benchLearntRack(from: BackingFrom, count: number, seed: number) {
	const names = Object.keys(AFTER) as (keyof typeof AFTER)[];
	const all = tallies(
		names.flatMap((name) =>
			['turns', 'depth'].flatMap((by) => [`${name}, by ${by}`, `${name}, by ${by}, learnt`])
		)
	);
	for (let i = 0; i < count; i++) {
		const rack = new TrueRack(seededRandom(seed + i), BACKINGS[from]);
		const learnt = learnRack(windingsOf(rack, from));
		for (const name of names) {
			const [spool, line, winder] = AFTER[name];
			const wound = rack.wind(spool, line, winder, WOUND.length);
			const problem = problemOf(spool, line);
			const things = thingsOf(spool, line, winder, WOUND.length, from);
			const known = { problem, spreads: DEFAULT_SPREADS, things };
			const plans = {
				'': planOf(problem),
				', learnt': planOf(startingFrom(known, learntFor(learnt, known, things)))
			};
			for (const [told, { turns, stopDepthMm }] of Object.entries(plans)) {
				all[`${name}, by turns${told}`]!.add(wound.gap(turns), GAP_MM);
				all[`${name}, by depth${told}`]!.add(wound.gap(wound.turnsToDepth(stopDepthMm)), GAP_MM);
			}
		}
	}
	return rowsOf(all);
}

const MANY = 500;
/** A rack of 500 windings on 300 spools, learnt at once, and one winding more. */
export function rackSpeed() {
	const copies = MANY / WOUND.length;
	const rack = new TrueRack(seededRandom(1), BACKINGS['a spool of its own'], copies);
	const windings = windingsOf(rack, 'a spool of its own', copies);
	const before = learnRack(windings.slice(0, -1));
	return {
		count: MANY,
		atOnce: () => learnRack(windings),
		oneMore: () => learnRack(windings, before)
	};
}
