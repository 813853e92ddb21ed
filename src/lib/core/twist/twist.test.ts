import { keys } from '../keys';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { corrected, plus, rangeOf, times, type Turns } from './belief';
import { learnGrowth, loopTest, twistAlong, twistVerdict, USUAL_GROWTH, type TwistEntry } from './ledger';
import { machineSays, MACHINE_TECHNIQUES } from './techniques';
import { coil, linkOf, twistOf, writheOf } from './testing';
import {
	coilsIn,
	gentlest,
	LEAVINGS,
	ONTO,
	SOURCES,
	transfersTurns,
	transferTurns,
	type Transfer
} from './transfer';

const LINE: Transfer = {
	lengthMm: 27_432,
	source: 'line-spool',
	diameterMm: 130,
	leaving: 'over-side',
	seen: 'clockwise',
	onto: 'reel'
};
const { diameterMm: _coils, ...COILLESS } = LINE;
const STRAIGHT: Transfer = { ...COILLESS, source: 'laid-out' };
const transfers = fc.record({
	lengthMm: fc.double({ min: 500, max: 250_000, noNaN: true }),
	source: fc.constantFrom(...keys(SOURCES)),
	leaving: fc.constantFrom(...keys(LEAVINGS)),
	seen: fc.constantFrom('clockwise' as const, 'anticlockwise' as const),
	onto: fc.constantFrom(...keys(ONTO))
}) satisfies fc.Arbitrary<Transfer>;

describe('ropework: Lk = Tw + Wr (Călugăreanu 1959, White 1969, Fuller 1971), the writhe by the Gauss integral', () => {
	it('writhe: a flat ring has none, a mirror has the opposite (Fuller 1971)', () => {
		const ring = coil(3, { pitchMm: 6, perTurn: 40 });
		const mirrored = ring.points.map(([x, y, z]) => [x, y, -z] as const);
		expect(writheOf(mirrored)).toBeCloseTo(-writheOf(ring.points), 9);
		const flat = Array.from({ length: 60 }, (_, i) => [Math.cos(i / 9.549), Math.sin(i / 9.549), 0] as const);
		expect(writheOf(flat)).toBeCloseTo(0, 9);
	});
	it.each([
		[3, 1],
		[5, 1],
		[4, -1]
	] as const)('%i coils, hand %i: the three agree, and a flat coil is all writhe', (turns, hand) => {
		const drawn = coil(turns, { hand });
		const [lk, tw, wr] = [linkOf(drawn, 0.4), twistOf(drawn), writheOf(drawn.points)];
		expect(lk).toBe(turns * hand);
		expect(tw + wr).toBeCloseTo(lk, 6);
		// The flatter the coil the less twist is in it: it lies on the spool untwisted, and is linked all the same.
		expect(Math.abs(tw)).toBeLessThan(Math.abs(twistOf(coil(turns, { hand, pitchMm: 60 }))));
	});
	it.each([
		['clockwise', 1],
		['anticlockwise', -1]
	] as const)(
		'pulled off over the side, %s: the link stays, the writhe goes, the rest is the twist',
		(seen, hand) => {
			const turns = 6;
			// The place where it leaves runs clockwise when the coil toward the free end is a right-handed screw.
			const link = linkOf(coil(turns, { hand }), 0.4);
			const lengthMm = turns * Math.PI * 130;
			expect(transferTurns({ ...LINE, lengthMm, seen }).mean).toBeCloseTo(link, 9);
		}
	);
});

describe('what a transfer adds', () => {
	it('is a turn a coil over the side, none from a spool that turns', () => {
		expect(transferTurns(LINE).mean).toBeCloseTo(27_432 / (Math.PI * 130), 9);
		expect(transferTurns({ ...LINE, leaving: 'turning' })).toEqual({ mean: 0, sd: 0 });
		expect(transferTurns(STRAIGHT)).toEqual({
			mean: 0,
			sd: 0
		});
	});
	it('half off each side cancels, but for how far the halves are unequal', () => {
		const { mean, sd } = transferTurns({ ...LINE, leaving: 'both-sides' });
		expect(mean).toBe(0);
		expect(sd).toBeGreaterThan(0);
		expect(sd).toBeLessThan(0.1 * coilsIn(LINE.lengthMm, 130));
		const half = { ...LINE, lengthMm: LINE.lengthMm / 2 };
		expect(transfersTurns([half, { ...half, seen: 'anticlockwise' }]).mean).toBeCloseTo(0, 9);
	});
	it('from a bowl is as many turns as coils that were seen to jump, and better known than when nobody looked', () => {
		const coils = transferTurns(LINE).mean;
		const seen = transferTurns({ ...LINE, leaving: 'bowl', jumpShare: 0.15 });
		const unseen = transferTurns({ ...LINE, leaving: 'bowl' });
		expect(seen.mean).toBeCloseTo(0.15 * coils, 9);
		expect(unseen.mean).toBeCloseTo(seen.mean, 9);
		expect(seen.sd).toBeLessThan(unseen.sd);
		expect(transferTurns({ ...LINE, leaving: 'bowl', jumpShare: 0 }).mean).toBe(0);
		expect(transferTurns({ ...LINE, leaving: 'bowl', jumpShare: 1 }).mean).toBeCloseTo(coils, 9);
		expect(() => transferTurns({ ...LINE, jumpShare: 1.5 })).toThrow(RangeError);
	});
	it('from a bowl is some of it, and figures of eight add nothing where coils by hand add one each', () => {
		const bowl = transferTurns({ ...LINE, leaving: 'bowl' });
		expect(bowl.mean).toBeGreaterThan(0);
		expect(bowl.mean).toBeLessThan(0.5 * transferTurns(LINE).mean);
		const off: Transfer = { ...LINE, leaving: 'turning' };
		expect(transferTurns({ ...off, onto: 'figure-eight' }).mean).toBe(0);
		expect(transferTurns({ ...off, onto: 'hand-coils', handDiameterMm: 250 }).mean).toBeCloseTo(
			27_432 / (Math.PI * 250),
			9
		);
	});
	it('the other side has the other sign, sums are sums, and the gentlest adds no more (any transfer)', () => {
		fc.assert(
			fc.property(transfers, transfers, (a, b) => {
				const other = { ...a, seen: a.seen === 'clockwise' ? 'anticlockwise' : 'clockwise' } as const;
				const off: Transfer = { ...a, onto: 'reel' };
				expect(transferTurns({ ...other, onto: 'reel' }).mean).toBeCloseTo(0 - transferTurns(off).mean, 9);
				expect(transfersTurns([a, b])).toEqual(plus(transferTurns(a), transferTurns(b)));
				expect(transferTurns(gentlest(a))).toEqual({ mean: 0, sd: 0 });
				const { low, high } = rangeOf(transferTurns(a));
				expect(low).toBeLessThanOrEqual(high);
			})
		);
	});
	it('refuses lengths that are none', () => {
		expect(() => transferTurns({ ...LINE, lengthMm: 0 })).toThrow(RangeError);
		expect(() => transferTurns({ ...LINE, diameterMm: -3 })).toThrow(RangeError);
	});
});

describe('a line and its ledger', () => {
	const METRES = 30;
	const now = (entries: readonly TwistEntry[]) => {
		const perMetre = twistAlong(entries, 1000 * METRES).at(-1) ?? { mean: 0, sd: 0 };
		return { perMetre, turns: times(perMetre, METRES) };
	};
	it('is the sum of what was added, less what was let out', () => {
		const added: TwistEntry[] = [
			{ kind: 'transfer', turns: { mean: 40, sd: 3 } },
			{ kind: 'transfer', turns: { mean: -10, sd: 4 } }
		];
		expect(now(added).turns).toEqual({ mean: 30, sd: 5 });
		expect(now(added).perMetre.mean).toBeCloseTo(1, 12);
		const after = now([...added, { kind: 'let-out', share: 0.9, shareSd: 0 }]);
		expect(after.turns.mean).toBeCloseTo(3, 12);
		expect(now([]).turns).toEqual({ mean: 0, sd: 0 });
	});
	it('days out add up, their doubt as a root', () => {
		const days = (count: number) => now([{ kind: 'fished', days: count }]);
		expect(days(4).turns.mean).toBeCloseTo(4 * days(1).turns.mean, 9);
		expect(days(4).turns.sd).toBeCloseTo(2 * days(1).turns.sd, 9);
	});
	it('a loop test corrects it as a grid of posteriors does (Bayes on 40,001 points)', () => {
		const prior: TwistEntry = { kind: 'transfer', turns: { mean: 24, sd: 6 } };
		const perMetre = loopTest(1500, 1);
		const filtered = now([prior, { kind: 'loop-test', perMetre }]).turns;
		const density = (x: number, { mean, sd }: Turns) => Math.exp(-0.5 * ((x - mean) / sd) ** 2);
		const seen = { mean: perMetre.mean * METRES, sd: perMetre.sd * METRES };
		let [weight, first, second] = [0, 0, 0];
		for (let i = 0; i <= 40_000; i++) {
			const x = -100 + (300 * i) / 40_000;
			const w = density(x, { mean: 24, sd: 6 }) * density(x, seen);
			[weight, first, second] = [weight + w, first + w * x, second + w * x * x];
		}
		expect(filtered.mean).toBeCloseTo(first / weight, 6);
		expect(filtered.sd).toBeCloseTo(Math.sqrt(second / weight - (first / weight) ** 2), 6);
	});
	it('a measurement never makes it less sure, and lies between what was thought and what was seen', () => {
		const belief = fc.record({
			mean: fc.double({ min: -90, max: 90, noNaN: true }),
			sd: fc.double({ min: 0.01, max: 40, noNaN: true })
		});
		fc.assert(
			fc.property(belief, belief, (thought, seen) => {
				const { mean, sd } = corrected(thought, seen);
				expect(sd).toBeLessThanOrEqual(Math.min(thought.sd, seen.sd) + 1e-9);
				expect(mean).toBeGreaterThanOrEqual(Math.min(thought.mean, seen.mean) - 1e-9);
				expect(mean).toBeLessThanOrEqual(Math.max(thought.mean, seen.mean) + 1e-9);
			})
		);
	});
	it('a loop test: each spin takes a turn out of either leg', () => {
		expect(loopTest(2000, 3).mean).toBeCloseTo(3, 12);
		expect(loopTest(1000, -2).mean).toBeCloseTo(-4, 12);
		// A longer bight reads finer.
		expect(loopTest(3000, 0).sd).toBeLessThan(loopTest(1000, 0).sd);
		expect(() => loopTest(0, 1)).toThrow(RangeError);
	});
	it('what a day adds is learnt from two tests with nothing but fishing between them', () => {
		const test = (mean: number): TwistEntry => ({ kind: 'loop-test', perMetre: { mean, sd: 0.05 } });
		const season: TwistEntry[] = [test(0), { kind: 'fished', days: 6 }, { kind: 'fished', days: 4 }, test(2)];
		const learnt = learnGrowth(season);
		expect(learnt.mean).toBeGreaterThan(USUAL_GROWTH.mean);
		expect(learnt.mean).toBeLessThan(0.2);
		expect(learnt.sd).toBeLessThan(USUAL_GROWTH.sd);
		// A transfer in between says nothing of a day.
		const broken: TwistEntry[] = [
			test(0),
			{ kind: 'transfer', turns: { mean: 9, sd: 1 } },
			{ kind: 'fished', days: 10 },
			test(2)
		];
		expect(learnGrowth(broken)).toEqual(USUAL_GROWTH);
		expect(learnGrowth([test(0), test(2)])).toEqual(USUAL_GROWTH);
	});
	it('the schools of the winding machine: the ledger says which has a point', () => {
		expect(MACHINE_TECHNIQUES[machineSays(twistVerdict(0.1))]).toContain('as long as the supply spool turns');
		expect(MACHINE_TECHNIQUES[machineSays(twistVerdict(-2))]).toContain('tighter');
		expect(twistVerdict(0.8)).toBe('noticed');
	});
});
