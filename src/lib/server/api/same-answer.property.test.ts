import { BACKING_MATERIALS, DENSITIES, TAPERS, keys, WINDING_HANDS, type Role } from '$lib/core';
import { workOut } from '$lib/setup/evaluate-form';
import type { ComponentForm, SetupForm, SpoolForm } from '$lib/setup/form';
import { newComponent, newSetup } from '$lib/setup/presets';
import { showLong, showLongRange, showSmall, showSmallRange, showTurns } from '$lib/wording/units';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fit } from './answers';
import { ask } from './testing';

/** One thing in both tongues: text as it is typed into a form, JSON as it is sent to the API. */
interface Both<T> {
	readonly typed: T;
	readonly sent: Record<string, unknown>;
}
type Typed<T> = fc.Arbitrary<Both<T>>;

/** A number that reads back from its text. */
const decimal = (min: number, max: number, digits = 1): fc.Arbitrary<number> =>
	fc
		.integer({ min: Math.round(min * 10 ** digits), max: Math.round(max * 10 ** digits) })
		.map((n) => n / 10 ** digits);
const oneOf = <T>(...values: T[]): fc.Arbitrary<T> => fc.constantFrom(...values);
/** A length typed in some unit, and what it is in metres or millimetres. */
const typedMm = (min: number, max: number): fc.Arbitrary<{ text: string; mm: number }> =>
	fc
		.tuple(decimal(min, max), oneOf(1, 25.4))
		.map(([mm, inch]) =>
			inch === 1
				? { text: `${mm} mm`, mm }
				: { text: `${(mm / inch).toFixed(3)} in`, mm: Number((mm / inch).toFixed(3)) * inch }
		);
const typedM = (min: number, max: number): fc.Arbitrary<{ text: string; m: number }> =>
	fc
		.tuple(decimal(min, max), oneOf<readonly [string, number]>(['m', 1], ['yd', 0.9144], ['ft', 0.3048]))
		.map(([m, [unit, factor]]) => {
			const shown = Number((m / factor).toFixed(2));
			return { text: `${shown} ${unit}`, m: shown * factor };
		});

const slug = oneOf(...BACKING_MATERIALS.map((material) => material.slug));
const lineClass = fc.record({
	taper: oneOf(...keys(TAPERS)),
	number: fc.integer({ min: 3, max: 9 }),
	density: oneOf(...keys(DENSITIES))
});
const code = ({ taper, number, density }: { taper: string; number: number; density: string }): string =>
	`${taper}${number}${density}`;

/** A diameter in each of the ways that a field takes. */
function diameter(min: number, max: number, gPerCm3: number): Typed<string> {
	return fc.oneof(
		typedMm(min, max).map(({ text, mm }) => ({ typed: text, sent: { diameterMm: mm } })),
		fc.tuple(fc.integer({ min: 8, max: 40 }), decimal(min, max, 2)).map(([count, mm]) => {
			const widthMm = Number((count * mm).toFixed(1));
			return { typed: `${count} wraps in ${widthMm} mm`, sent: { wraps: { count, widthMm } } };
		}),
		fc.tuple(fc.integer({ min: 3, max: 30 }), decimal(min, max, 2)).map(([lengthM, mm]) => {
			const massG = Math.max(0.1, Number(((Math.PI / 4) * mm * mm * lengthM * gPerCm3).toFixed(1)));
			return {
				typed: `${massG} g in ${lengthM} m`,
				sent: { weighed: { massG, lengthM }, densityGPerCm3: gPerCm3 }
			};
		})
	);
}

/** Backing whose length is looked for, or given. */
const backing: Typed<Pick<ComponentForm, 'made' | 'length' | 'solve'>> = fc
	.tuple(slug, fc.boolean(), typedM(20, 90))
	.chain(([material, open, length]) => {
		const { gPerCm3 } = BACKING_MATERIALS.find((one) => one.slug === material)!.density;
		const made: Typed<string> = fc.oneof(
			fc.constant({ typed: '', sent: { material } }),
			diameter(0.25, 0.7, gPerCm3)
		);
		return made.map(({ typed, sent }) => ({
			typed: {
				made: { way: 'material', material, diameter: typed },
				length: open ? '' : length.text,
				solve: open
			},
			sent: { ...sent, ...(!open && { lengthM: length.m }) }
		}));
	});

/** What goes over it: by class, weighed, from a table, or level. */
const line: Typed<Pick<ComponentForm, 'made' | 'length'>> = fc.oneof(
	fc.tuple(lineClass, fc.option(typedM(24, 40))).map(([one, length]) => ({
		typed: { made: { way: 'class', class: one } as const, length: length?.text ?? '' },
		sent: { lineClass: code(one), ...(length && { lengthM: length.m }) }
	})),
	fc.tuple(lineClass, decimal(12, 30)).map(([one, massG]) => ({
		typed: { made: { way: 'weighed', class: one, mass: `${massG} g` } as const, length: '' },
		sent: { lineClass: code(one), massG }
	})),
	fc
		.tuple(
			oneOf(...keys(DENSITIES)),
			fc.array(fc.tuple(typedM(1, 9), typedMm(0.8, 1.5), typedMm(0.8, 1.5)), { minLength: 1, maxLength: 4 })
		)
		.map(([density, rows]) => ({
			typed: {
				made: {
					way: 'table',
					density,
					rows: rows.map(([length, start, end]) => ({
						length: length.text,
						start: start.text,
						end: end.text
					}))
				} as const,
				length: ''
			},
			sent: {
				sections: rows.map(([length, start, end]) => ({
					lengthM: length.m,
					startDiameterMm: start.mm,
					endDiameterMm: end.mm
				}))
			}
		})),
	oneOf(...keys(DENSITIES)).chain((density) =>
		fc
			.tuple(diameter(0.8, 1.3, DENSITIES[density].gPerCm3), typedM(15, 30))
			.map(([{ typed, sent }, length]) => ({
				typed: { made: { way: 'level', density, diameter: typed } as const, length: length.text },
				sent: { ...sent, lengthM: length.m }
			}))
	)
);

/** A spool in each of the ways that it is known. */
const measures = fc.record({ rim: typedMm(76, 100), arbor: typedMm(28, 45), width: typedMm(16, 28) });
const rating = fc.record({ line: lineClass, material: slug, length: typedM(60, 200) });
const spool: Typed<Partial<SpoolForm>> = fc.oneof(
	measures.map(({ rim, arbor, width }) => ({
		typed: {
			way: 'measured',
			shape: 'straight',
			rim: rim.text,
			arbor: arbor.text,
			width: width.text
		} as const,
		sent: { rimDiameterMm: rim.mm, arborDiameterMm: arbor.mm, widthMm: width.mm }
	})),
	fc.tuple(measures, typedMm(20, 26)).map(([{ rim, arbor, width }, low]) => ({
		typed: {
			way: 'measured',
			shape: 'dished',
			rim: rim.text,
			arbor: arbor.text,
			width: width.text,
			low: low.text
		} as const,
		sent: {
			profile: [
				{ diameterMm: low.mm, widthMm: 0 },
				{ diameterMm: arbor.mm, widthMm: width.mm },
				{ diameterMm: rim.mm, widthMm: width.mm }
			]
		}
	})),
	fc.tuple(measures, typedMm(10, 15)).map(([{ rim, arbor, width }, floor]) => ({
		typed: {
			way: 'measured',
			shape: 'flared',
			rim: rim.text,
			arbor: arbor.text,
			width: width.text,
			floor: floor.text
		} as const,
		sent: {
			profile: [
				{ diameterMm: arbor.mm, widthMm: floor.mm },
				{ diameterMm: rim.mm, widthMm: width.mm }
			]
		}
	})),
	// A head by its weight and length, and plain nylon: what a box may say in place of a class.
	fc
		.tuple(fc.integer({ min: 250, max: 700 }), typedM(8, 16), oneOf(...keys(DENSITIES)), rating)
		.map(([grains, { text, m }, density, { length, ...one }]) => ({
			typed: {
				way: 'rated',
				ratings: [
					{
						...one,
						length: length.text,
						other: { kind: 'head', density, mass: `${grains} gr`, length: text }
					}
				]
			} satisfies Partial<SpoolForm>,
			sent: {
				ratings: [{ head: { grains, lengthM: m, density }, backing: one.material, lengthM: length.m }]
			}
		})),
	fc.tuple(typedMm(0.25, 0.5), rating).map(([{ text, mm }, { length, ...one }]) => ({
		typed: {
			way: 'rated',
			ratings: [{ ...one, length: length.text, other: { kind: 'nylon', diameter: text } }]
		} satisfies Partial<SpoolForm>,
		sent: { ratings: [{ nylonMm: mm, lengthM: length.m }] }
	})),
	fc
		.tuple(fc.array(rating, { minLength: 1, maxLength: 3 }), oneOf(0, 0.1, 0.2), fc.option(typedMm(80, 100)))
		.map(([ratings, allowance, rim]) => ({
			typed: {
				way: 'rated',
				allowance: allowance as SpoolForm['allowance'],
				ratings: ratings.map((one) => ({ line: one.line, material: one.material, length: one.length.text })),
				rim: rim?.text ?? ''
			} as const,
			sent: {
				ratings: ratings.map((one) => ({
					lineClass: code(one.line),
					backing: one.material,
					lengthM: one.length.m
				})),
				makersAllowance: allowance,
				...(rim && { rimDiameterMm: rim.mm })
			}
		})),
	fc.tuple(rating, typedMm(2, 6), fc.option(typedMm(14, 28))).map(([filled, gap, width]) => ({
		typed: {
			way: 'filled',
			filled: { line: filled.line, material: filled.material, length: filled.length.text, gap: gap.text },
			width: width?.text ?? ''
		} as const,
		sent: {
			fill: {
				lineClass: code(filled.line),
				backing: filled.material,
				lengthM: filled.length.m,
				gapMm: gap.mm
			},
			...(width && { widthMm: width.mm })
		}
	}))
);

/** How tightly the backing is wound: by the manner of winding, or one's own. */
const lay: Typed<{ winding: keyof typeof WINDING_HANDS; lay: string }> = fc.oneof(
	oneOf(...keys(WINDING_HANDS)).map((winding) => ({
		typed: { winding, lay: '' },
		sent: { layEfficiency: WINDING_HANDS[winding].layEfficiency }
	})),
	fc.tuple(decimal(0.7, 1, 2), fc.option(decimal(1, 6))).map(([layEfficiency, percent]) => ({
		typed: { winding: 'firm' as const, lay: `${layEfficiency}${percent === null ? '' : ` ± ${percent} %`}` },
		sent: { layEfficiency, ...(percent !== null && { layShare: percent / 100 }) }
	}))
);
const spreads: Typed<Partial<SetupForm['fill']['spreads']>> = fc.oneof(
	fc.constant({ typed: {}, sent: {} }),
	fc.record({ rim: typedMm(0.1, 2), diameter: decimal(1, 9), bulk: decimal(1, 9) }).map((one) => ({
		typed: { rim: one.rim.text, diameter: `${one.diameter} %`, bulk: `${one.bulk} %` },
		sent: { rimMm: one.rim.mm, diameterShare: one.diameter / 100, bulkShare: one.bulk / 100 }
	}))
);

const setup = fc
	.tuple(spool, backing, line, lay, spreads, typedMm(2, 8))
	.map(([onSpool, under, over, how, said, gap]) => {
		const form = newSetup();
		const strand = (role: Role, typed: object): ComponentForm => ({ ...newComponent(role, role), ...typed });
		const typed: SetupForm = {
			spool: { ...form.spool, ...onSpool.typed },
			fill: {
				...form.fill,
				...how.typed,
				stack: [strand('backing', under.typed), strand('line', over.typed)],
				gap: gap.text,
				spreads: { ...form.fill.spreads, ...said.typed }
			}
		};
		const sent = {
			spool: onSpool.sent,
			stack: [
				{ role: 'backing', ...under.sent, ...how.sent },
				{ role: 'line', ...over.sent }
			],
			gapMm: gap.mm,
			...(Object.keys(said.sent).length > 0 && { spreads: said.sent })
		};
		return { typed, sent };
	});

/** Five hundred set-ups of every kind; what is shown of each is the same to the last digit, or both are refused alike. */
it('a set-up typed into a form and one sent to the API have one answer, with one range', async () => {
	let answered = 0;
	await fc.assert(
		fc.asyncProperty(setup, async ({ typed, sent }) => {
			const worked = workOut(typed, 'm-mm');
			const told = await ask(fit, sent);
			if (!worked.ok || !told.ok) {
				expect([worked.ok, told.ok, told.ok ? [] : told.issues.map(({ code }) => code)]).toEqual([
					false,
					false,
					worked.ok ? [] : worked.issues.map(({ code }) => code)
				]);
				return;
			}
			answered += 1;
			const { fit: planned, estimate } = worked.value;
			const { gapMm, ranges, solved } = told.value;
			const mm = (m: number): number => m * 1000;
			/** An answer is rounded on its way: one that lies between two digits has to fall to the same side. */
			const depth = (atMm: number): string => showSmall(atMm + 1e-6, 'm-mm');
			expect([showSmall(gapMm, 'm-mm'), showSmallRange(...ranges.gapMm, 'm-mm')]).toEqual([
				showSmall(planned.gapMm, 'm-mm'),
				showSmallRange(estimate.ranges.gapMm.low, estimate.ranges.gapMm.high, 'm-mm')
			]);
			expect(solved === undefined).toBe(planned.solved === undefined);
			if (!solved || !planned.solved) return;
			const { lengthMm, turns, stopDepthMm } = planned.solved;
			const { lengthMm: lengths, stopDepthMm: depths } = estimate.ranges;
			expect([
				showLong(mm(solved.lengthM), 'm-mm'),
				showTurns(solved.turns),
				depth(solved.stopDepthMm),
				showLongRange(mm(ranges.lengthM![0]), mm(ranges.lengthM![1]), 'm-mm'),
				showSmallRange(...ranges.stopDepthMm!, 'm-mm')
			]).toEqual([
				showLong(lengthMm, 'm-mm'),
				showTurns(turns),
				depth(stopDepthMm),
				showLongRange(lengths.low, lengths.high, 'm-mm'),
				showSmallRange(depths.low, depths.high, 'm-mm')
			]);
			// And beyond what is shown.
			expect(mm(solved.lengthM) / (lengthMm || 1)).toBeCloseTo(lengthMm ? 1 : 0, 6);
		}),
		{ numRuns: 500, seed: 13 }
	);
	expect(answered).toBeGreaterThan(350);
});
