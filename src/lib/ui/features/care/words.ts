import { formatNumber, loopTest, type CareEvent } from '$lib/core';
import { showLong, type UnitSystem } from '$lib/schema/units';
import { showDay } from '../dates';

const PLAIN: Partial<Record<CareEvent['kind'], string>> = {
	came: 'came',
	cleaned: 'cleaned',
	dressed: 'dressed',
	rinsed: 'rinsed',
	turned: 'turned end for end',
	'loop-rebuilt': 'front loop rebuilt',
	respooled: 'respooled'
};

function happened(event: CareEvent, units: UnitSystem): string {
	switch (event.kind) {
		case 'moved':
			return event.to.on === 'spool'
				? 'wound on its spool'
				: event.to.on === 'coil'
					? `put on a coil: ${event.to.label}`
					: 'retired';
		case 'loop-test': {
			const { mean } = loopTest(event.bightMm, event.spins);
			return `loop test: ${formatNumber(Math.abs(mean), 1)} turns a metre`;
		}
		case 'tug-test':
			return `tug test: ${event.result}`;
		case 'let-out':
			return `twist let out, about ${Math.round(100 * event.share)} %`;
		case 'shortened':
			return `shortened by ${showLong(event.byMm, units)}`;
		case 'fished':
			return `${event.days === 1 ? 'a day' : `${event.days} days`} out, ${event.water} water`;
		default:
			return PLAIN[event.kind] ?? event.kind;
	}
}

/** What happened, and when, in words. */
export const eventText = (event: CareEvent, units: UnitSystem): string =>
	`${showDay(new Date(event.day))}: ${happened(event, units)}`;
