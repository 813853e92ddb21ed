import type { Moment } from '$lib/inventory/care-rows';
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

/** Days out that fill the height of a bar. */
const FULL_DAYS = 10;
const BAR_PX = 3;

/** Days out as bars on a floor, those in salt water apart: what falls on one pixel is one bar. One path each: they are many. */
export function daysBars(
	moments: readonly Moment[],
	x: TimeScale,
	floor: number
): { readonly fresh: string; readonly salt: string } {
	const bars = new Map<number, { days: number; salt: boolean }>();
	const [from, to] = x.range() as [number, number];
	for (const { kind, day, days = 0, salt = false } of moments) {
		const at = Math.round(x(atDay(day)));
		if (kind !== 'fished' || at < from || at > to) continue;
		const before = bars.get(at);
		bars.set(at, { days: (before?.days ?? 0) + days, salt: salt || (before?.salt ?? false) });
	}
	const path = (salt: boolean): string =>
		[...bars]
			.filter(([, bar]) => bar.salt === salt)
			.map(([at, { days }]) => {
				const tall = Math.round((LANE.days - 2) * Math.min(days / FULL_DAYS, 1) + 2);
				return `M${at - 1} ${floor}v-${tall}h${BAR_PX}v${tall}z`;
			})
			.join('');
	return { fresh: path(false), salt: path(true) };
}

/** Kinds of event that have a sign of their own, drawn from where they stand: each move is relative. */
export const SIGNS: Partial<Record<CareKind, string>> = {
	cleaned: 'm-3.5 0a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0-7 0',
	dressed: 'm-3.5 0a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0-7 0m2.5 0h2',
	rinsed: 'm0-4.5c2.5 3.5 3.5 5 3.5 6.5a3.5 3.5 0 0 1-7 0c0-1.5 1-3 3.5-6.5',
	'loop-test': 'm0-4.5l4.5 4.5l-4.5 4.5l-4.5-4.5z',
	'tug-test': 'm-3.5-3.5h7v7h-7z',
	'let-out': 'm0-4.5l4 5.5h-2.5v3.5h-3v-3.5h-2.5z',
	respooled: 'm-4-4l8 8m0-8l-8 8',
	shortened: 'm-4 4l8-8m-8 4h4',
	turned: 'm-4.5-1.5h7.5l-2.5-2.5m4 5.5h-7.5l2.5 2.5',
	'loop-rebuilt': 'm-4 0c0-6 8-6 8 0s-5 4-8 3',
	'line-changed': 'm0-4.5v9',
	wetted: 'm-4 2c2-4 4 2 6-2l2-2'
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

/** More signs than this say how many they are by standing close; fewer have their number beside them. */
const MANY_SIGNS = 24;
/** Signs as one path at a height, and the numbers of those that are several. */
export function signPath(
	all: readonly Sign[],
	y: number
): { readonly d: string; readonly counts: readonly Sign[] } {
	return {
		d: all.map(({ x, kind }) => `M${x.toFixed(1)} ${y}${SIGNS[kind]}`).join(''),
		counts: all.length > MANY_SIGNS ? [] : all.filter(({ count }) => count > 1)
	};
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
