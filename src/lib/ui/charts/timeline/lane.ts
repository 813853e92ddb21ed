import type { Moment } from '$lib/schema/care-page';
import { TWIST_LIMITS, type CareKind } from '$lib/core';
import { max } from 'd3-array';
import { scaleLinear, type ScaleTime } from 'd3-scale';
import { area, curveStepAfter } from 'd3-shape';

export type TimeScale = ScaleTime<number, number>;
const DAY_MS = 86_400_000;
/** A day of the calendar on the scale: midnight in UTC, so that no time zone moves it. */
export const atDay = (day: number): Date => new Date(day * DAY_MS);

/** Heights within a lane, px. */
export const LANE = { place: 14, twist: 30, days: 16, height: 64 } as const;

/** A stretch of time in one place. */
export interface Stay {
	readonly x: number;
	readonly width: number;
	readonly on: NonNullable<Moment['on']>;
	readonly place: string;
	readonly gapMm: number | undefined;
}

/** Where a thing was, one stay after the other, until today. */
export function stays(moments: readonly Moment[], x: TimeScale, today: number): Stay[] {
	const moves = moments.filter(({ kind }) => kind === 'moved');
	return moves.flatMap((move, i): Stay[] => {
		const from = x(atDay(move.day));
		const to = x(atDay(moves[i + 1]?.day ?? Math.max(today, move.day)));
		const [left, right] = [Math.max(from, x.range()[0]!), Math.min(to, x.range()[1]!)];
		return right <= left && i + 1 < moves.length
			? []
			: [
					{
						x: left,
						width: Math.max(right - left, 2),
						on: move.on ?? 'coil',
						place: move.place ?? '',
						gapMm: move.gapMm
					}
				];
	});
}

/** Twist over time, against the most that is shown: an area from the floor up, in steps. */
export function twistArea(
	moments: readonly Moment[],
	x: TimeScale,
	today: number,
	mostTwist: number
): string {
	const last = moments.at(-1);
	if (!last) return '';
	const y = scaleLinear().domain([0, mostTwist]).range([LANE.twist, 0]).clamp(true);
	return (
		area<Pick<Moment, 'day' | 'twist'>>()
			.x(({ day }) => x(atDay(day)))
			.y0(LANE.twist)
			.y1(({ twist }) => y(twist))
			.curve(curveStepAfter)([...moments, { day: Math.max(today, last.day), twist: last.twist }]) ?? ''
	);
}

/** The most twist that the lanes show: one for all, so that they can be compared. */
export const mostTwist = (all: readonly (readonly Moment[])[]): number =>
	Math.max(1.25 * TWIST_LIMITS.loops, max(all.flat(), ({ twist }) => twist) ?? 0);

/** Days out as bars: what falls on one pixel is one bar. */
export interface DaysBar {
	readonly x: number;
	readonly days: number;
	readonly salt: boolean;
}
export function daysBars(moments: readonly Moment[], x: TimeScale): DaysBar[] {
	const bars = new Map<number, DaysBar>();
	const [from, to] = x.range() as [number, number];
	for (const { kind, day, days = 0, salt = false } of moments) {
		const at = Math.round(x(atDay(day)));
		if (kind !== 'fished' || at < from || at > to) continue;
		const before = bars.get(at);
		bars.set(at, { x: at, days: (before?.days ?? 0) + days, salt: salt || (before?.salt ?? false) });
	}
	return [...bars.values()];
}

/** Kinds of event that have a sign of their own. */
export const SIGNS: Partial<Record<CareKind, string>> = {
	cleaned: 'M-3.5 0a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0 -7 0',
	dressed: 'M-3.5 0a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0 -7 0M-1 0h2',
	rinsed: 'M0 -4.5C2.5 -1 3.5 0.5 3.5 2A3.5 3.5 0 0 1 -3.5 2C-3.5 0.5 -2.5 -1 0 -4.5',
	'loop-test': 'M0 -4.5L4.5 0L0 4.5L-4.5 0z',
	'tug-test': 'M-3.5 -3.5h7v7h-7z',
	'let-out': 'M0 -4.5L4 1H1.5V4.5H-1.5V1H-4z',
	respooled: 'M-4 -4L4 4M4 -4L-4 4',
	shortened: 'M-4 4L4 -4M-4 0H0',
	turned: 'M-4.5 -1.5H3L0.5 -4M4.5 1.5H-3L-0.5 4',
	'loop-rebuilt': 'M-4 0C-4 -6 4 -6 4 0S-1 4 -4 3',
	'line-changed': 'M0 -4.5V4.5',
	wetted: 'M-4 2C-2 -2 0 4 2 0L4 -2'
};

/** Signs, those that would lie on one another as one: with how many there are. */
export interface Sign {
	readonly x: number;
	readonly kind: CareKind;
	readonly count: number;
}
const APART_PX = 9;
export function signs(moments: readonly Moment[], x: TimeScale): Sign[] {
	const [from, to] = x.range() as [number, number];
	const found: Sign[] = [];
	for (const { kind, day } of moments) {
		const at = x(atDay(day));
		if (!(kind in SIGNS) || at < from || at > to) continue;
		const before = found.at(-1);
		if (before && at - before.x < APART_PX) found[found.length - 1] = { ...before, count: before.count + 1 };
		else found.push({ x: at, kind, count: 1 });
	}
	return found;
}

/** The moment nearest to a place on the lane. */
export function nearest(moments: readonly Moment[], x: TimeScale, px: number): number {
	let best = -1;
	let distance = Infinity;
	moments.forEach(({ day }, i) => {
		const away = Math.abs(x(atDay(day)) - px);
		if (away <= distance) [best, distance] = [i, away];
	});
	return best;
}
