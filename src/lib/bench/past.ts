import { kindOf, remedySign, type Day, type Layer, type StepKind } from '$lib/core';
import { showDuration } from '$lib/wording/phrase';
import type { Winding } from '$lib/inventory/winding';
import { DEFAULT_UNITS, showLong, showSmall, showTurns, type UnitSystem } from '$lib/wording/units';
import { gearOf } from '$lib/setup/read-text';
import { workOut } from '$lib/setup/evaluate-form';

/** One figure of a winding: as planned, and as wound. */
export interface PastCell {
	readonly planned: string;
	readonly actual: string;
}

/** A winding that is over, planned against actual. */
export interface PastRun {
	readonly id: string;
	readonly woundOn: Day;
	readonly who: string;
	readonly hand: string;
	readonly cells: Readonly<Record<PastKey, PastCell>>;
	readonly knots: readonly string[];
	readonly remarks: readonly string[];
	readonly troubles: readonly string[];
	readonly photos: readonly string[];
}
export const PAST_ROWS = {
	turns: 'Turns of backing',
	depth: 'Depth of the backing',
	length: 'Backing on it',
	gap: 'Gap',
	time: 'Time',
	winding: 'winding alone',
	tying: 'tying alone'
} as const;
type PastKey = keyof typeof PAST_ROWS;

const NONE = '–';
const shown = (value: number | null, show: (value: number) => string): string =>
	value === null ? NONE : show(value);

/** Seconds planned and taken by the steps of some kinds. */
function times(record: Winding, kinds: readonly StepKind[]): PastCell {
	const steps = (record.run?.steps ?? []).filter(({ step }) => kinds.includes(kindOf(step)!));
	if (steps.length === 0) return { planned: NONE, actual: NONE };
	const sum = (of: (step: (typeof steps)[number]) => number): number =>
		steps.reduce((total, step) => total + of(step), 0);
	return {
		planned: showDuration(sum(({ plannedSeconds }) => plannedSeconds ?? 0)),
		actual: showDuration(sum(({ tookSeconds }) => tookSeconds))
	};
}

/** A finished winding as it is compared with others. */
export function pastRun(record: Winding, units: UnitSystem): PastRun {
	const worked = workOut(record.form, DEFAULT_UNITS);
	const counted = (turns: number): string => showTurns(turns / gearOf(record.form));
	const layer = worked.ok ? worked.value.fit.layers[worked.value.stopIndex] : undefined;
	const planned = (of: (layer: Layer) => string): string => (layer ? of(layer) : NONE);
	const { run } = record;
	return {
		id: record.id,
		woundOn: record.woundOn,
		who: record.typed.who,
		hand: run?.hand ?? record.form.spool.hand,
		cells: {
			turns: { planned: planned(({ turns }) => counted(turns)), actual: shown(record.turns, counted) },
			depth: {
				planned: planned(({ depthMm }) => showSmall(depthMm, units)),
				actual: shown(record.depthMm, (mm) => showSmall(mm, units))
			},
			length: {
				planned: planned(({ lengthMm }) => showLong(lengthMm, units)),
				actual: `${record.backingMeasured ? '' : 'about '}${showLong(record.backingMm, units)}`
			},
			gap: {
				planned: worked.ok ? showSmall(worked.value.fit.gapMm, units) : NONE,
				actual: shown(record.gapMm, (mm) => showSmall(mm, units))
			},
			time: {
				planned: run ? showDuration(run.plannedSeconds) : NONE,
				actual: run ? showDuration(run.seconds) : NONE
			},
			winding: times(record, ['wind']),
			tying: times(record, ['arbor', 'join', 'leader'])
		},
		knots: run?.knots ?? [],
		remarks: [record.typed.note, ...(run?.remarks.map(({ text }) => text) ?? [])].filter(
			(text) => text !== ''
		),
		troubles: run?.remedies.map(({ remedy }) => remedySign(remedy)) ?? [],
		photos: run?.photos.map(({ photo }) => photo) ?? []
	};
}
