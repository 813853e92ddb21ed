import {
	formatNumber,
	isKnown,
	level,
	ROLE_NAMES,
	type CareState,
	type Strand,
	type LineSection
} from '$lib/core';
import { Reader } from '$lib/setup/read-text';
import type { Label } from './label';
import { newSetup } from '$lib/setup/presets';
import { readParts } from '$lib/setup/read-strands';
import type { ComponentForm } from '$lib/setup/form';
import { showDay } from '$lib/wording/dates';
import { DEFAULT_UNITS, showLong, type UnitSystem } from '$lib/wording/units';

/** Taken off by a spool that turned, its rear end came last and lies outermost: the end that goes to the reel again. */
const FIRST_END = 'rear end first';

/** The text of a coil's label: what it is, which end comes first, its twist, and since when it is on the coil. */
export function coilLabel(kept: Strand, state: CareState, units: UnitSystem): Label {
	const since = state.last.moved?.day ?? state.last.came?.day;
	const day = since ? showDay(since) : '';
	const { mean } = state.twist.perMetre;
	const at = state.whereabouts;
	const backing = kept.kind === 'backing';
	const hand = Math.abs(mean) < 0.05 ? '' : mean > 0 ? ' right' : ' left';
	return {
		name: kept.label,
		lines: [
			`${ROLE_NAMES[kept.kind]}, ${showLong(state.lengthMm, units)}`,
			...(backing ? [] : [FIRST_END]),
			...(at?.on === 'coil' ? [at.label] : []),
			`${state.daysOut} days out`
		],
		foot: backing ? day : `${day}; twist ${formatNumber(Math.abs(mean), 1)} a metre${hand}`
	};
}

/** Sections of a strand, rear end first, to be drawn. */
export function sectionsOf(component: ComponentForm, lengthMm: number): readonly LineSection[] {
	const { fill } = newSetup();
	const part = readParts({ ...fill, stack: [component] }, DEFAULT_UNITS, new Reader())[0]!.component;
	return isKnown(part) ? part.sections : [level(lengthMm, part.diameterMm)];
}
