import { dayNumbered, formatNumber, loopTest, type CareEvent, type CareJob, type Due } from '$lib/core';
import type { Moment } from '$lib/inventory/care-rows';
import { showLong, showSmall, type UnitSystem } from '$lib/wording/units';
import { showDay } from '$lib/wording/dates';

const PLAIN: Partial<Record<CareEvent['kind'], string>> = {
	came: 'came',
	cleaned: 'cleaned',
	dressed: 'dressed',
	rinsed: 'rinsed',
	turned: 'turned end for end',
	'loop-rebuilt': 'front loop rebuilt',
	respooled: 'respooled',
	'line-changed': 'the line over it was changed',
	'loop-test': 'loop test',
	'tug-test': 'tug test',
	'let-out': 'twist taken out',
	shortened: 'shortened',
	wetted: 'wetted and dried'
};

const outText = (days: number, salt: boolean): string =>
	`${days === 1 ? 'a day' : `${days} days`} out, ${salt ? 'salt' : 'fresh'} water`;

function happened(event: CareEvent, units: UnitSystem): string {
	switch (event.kind) {
		case 'moved': {
			const gap = event.gapMm === undefined ? '' : `, gap ${showSmall(event.gapMm, units)}`;
			return event.to.on === 'spool'
				? `wound on its spool${gap}`
				: event.to.on === 'coil'
					? `put on a coil: ${event.to.label}`
					: 'retired';
		}
		case 'loop-test': {
			const { mean } = loopTest(event.bightMm, event.spins);
			return `loop test: ${twistText(mean)}`;
		}
		case 'tug-test':
			return `tug test: ${event.result}`;
		case 'let-out':
			return `twist let out, about ${Math.round(100 * event.share)} %`;
		case 'shortened':
			return `shortened by ${showLong(event.byMm, units)}`;
		case 'fished':
			return outText(event.days, event.water === 'salt');
		case 'wetted':
			return `wetted and dried${event.times === 1 ? '' : `, ${event.times} times`}`;
		default:
			return PLAIN[event.kind] ?? event.kind;
	}
}

/** How twisted a line is: none, where less than a number would show. */
export const twistText = (perMetre: number): string =>
	Math.abs(perMetre) < 0.05 ? 'no twist' : `${formatNumber(Math.abs(perMetre), 1)} turns a metre`;

/** What happened, and when, in words. */
export const eventText = (event: CareEvent, units: UnitSystem, locale?: string): string =>
	`${showDay(event.day, locale)}: ${happened(event, units)}${event.note ? `; ${event.note}` : ''}`;

/** A moment of a time line in words. */
export function momentText(moment: Moment, units: UnitSystem, twists: boolean, locale?: string): string {
	const day = showDay(dayNumbered(moment.day), locale);
	const what =
		moment.kind === 'fished'
			? outText(moment.days ?? 1, moment.salt ?? false)
			: moment.kind !== 'moved'
				? (PLAIN[moment.kind] ?? moment.kind)
				: moment.on === 'spool'
					? `on ${moment.place}${moment.gapMm === undefined ? '' : `, gap ${showSmall(moment.gapMm, units)}`}`
					: moment.on === 'coil'
						? `on a coil: ${moment.place}`
						: 'retired';
	return `${day}: ${what}${twists ? `; ${twistText(moment.twist)}` : ''}`;
}

const WHY: Record<Due['because'], string> = {
	date: 'due',
	'days-out': 'due: fished often enough',
	twist: 'due: too much twist',
	failed: 'due: it failed its test',
	'line-change': 'due: the line over it was changed',
	wet: 'due: wetted and dried often enough',
	'not yet': ''
};
/** When something is due, or why it is. */
export function dueText(
	{ job, on, daysOutLeft, because, overdue, expectedOn }: Due,
	locale?: string
): string {
	const day = on === undefined ? undefined : showDay(on, locale);
	if (overdue) return because === 'date' ? `due since ${day}` : WHY[because];
	if (job === 'rinse') return 'after the next salt water';
	const whole = formatNumber(daysOutLeft ?? 0, 0);
	const fishing = whole === '1' ? "1 more day's fishing" : `${whole} more days' fishing`;
	const guess =
		expectedOn && !(on && expectedOn.compare(on) === 0) ? `, about ${showDay(expectedOn, locale)}` : '';
	const after = daysOutLeft === undefined ? undefined : `after ${fishing}${guess}`;
	if (day === undefined) return after ?? '';
	return after === undefined ? `due by ${day}` : `due by ${day}, or ${after}`;
}

/** What doing a job is written down as, and how the button says it. */
export const DONE: Record<
	CareJob,
	{ readonly event: Readonly<Record<string, unknown>>; readonly name: string }
> = {
	clean: { event: { kind: 'cleaned' }, name: 'Cleaned' },
	respool: { event: { kind: 'respooled', turns: { mean: 0, sd: 0 } }, name: 'Twist taken out' },
	'tug-test': { event: { kind: 'tug-test', result: 'passed' }, name: 'Passed' },
	rinse: { event: { kind: 'rinsed' }, name: 'Rinsed' },
	judge: { event: { kind: 'moved', to: { on: 'retired' } }, name: 'Retire it' }
};
