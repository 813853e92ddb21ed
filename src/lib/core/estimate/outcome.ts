import type { Problem } from '../uncertainty/inputs';
import { gapOver, stopped } from './observations/gap';
import { areaOfRadius, radiusOfArea, radiusOfVolume, volumeOfRadius } from './surfaces';
import { afterAmount, HABIT, over, spacePerMm, turnsOn, under, wholeMm3, type World } from './world';
import { isKnown } from '../fit/stack';
import { totalLengthMm } from '../line/sections';
import { windingAfter } from '../run/winding';
import type { Story } from './story';

/** What has to be done with the strand that is wound to the gap, from what is on now; negative: comes off. */
export interface Todo {
	readonly turns: number;
	readonly lengthMm: number;
	/** Depth at which it ends. */
	readonly stopDepthMm: number;
	/** Turns and length of the whole strand then. */
	readonly wholeTurns: number;
	readonly wholeLengthMm: number;
}

/** What is on now of that strand: space filled up to its surface and under it, mm³. */
function onNow(world: World, story: Story, stop: number): { startMm3: number; nowMm3: number } {
	const startMm3 = under(world, story.now, stop);
	if (story.covered) return { startMm3, nowMm3: stopped(world, story.now, stop).endMm3 };
	const amount = story.now.amounts[stop];
	return { startMm3, nowMm3: amount ? afterAmount(world, story.now, stop, startMm3, amount) : startMm3 };
}

/** Space of a millimetre of the strand as it will lie. */
const perMm = (world: World, { end }: Story, stop: number): number => {
	const again = end.again[stop];
	return spacePerMm(world.stack[stop]!, again === undefined ? 0 : world.off(again));
};

const areaOf = ({ spool }: World, filledMm3: number): number =>
	areaOfRadius(spool, radiusOfVolume(spool, filledMm3));

/** How far the strand that is going on has come. */
export interface Progress {
	readonly turns: number;
	readonly lengthMm: number;
	readonly startDepthMm: number;
	readonly depthMm: number;
	/** To the end of a strand of known length; 0 of another. */
	readonly turnsLeft: number;
	readonly lengthLeftMm: number;
	readonly endDepthMm: number;
}

/** How far a strand has come in a world, by what was told of it last; whole when nothing was. */
export function progress(world: World, story: Story, component: number): Progress {
	const { spool, stack } = world;
	const strand = stack[component]!;
	const fromMm3 = under(world, story.now, component);
	const amount = story.now.amounts[component];
	const depthAt = (mm3: number): number => spool.rimRadiusMm - radiusOfVolume(spool, mm3);
	const startDepthMm = depthAt(fromMm3);
	if (!isKnown(strand)) {
		const toMm3 = amount ? afterAmount(world, story.now, component, fromMm3, amount) : fromMm3;
		const depthMm = depthAt(toMm3);
		const turns = (areaOf(world, toMm3) - areaOf(world, fromMm3)) / spacePerMm(strand);
		const lengthMm = (toMm3 - fromMm3) / spacePerMm(strand);
		return { turns, lengthMm, startDepthMm, depthMm, turnsLeft: 0, lengthLeftMm: 0, endDepthMm: depthMm };
	}
	const endMm3 = fromMm3 + wholeMm3(world, story.now, component);
	const start = radiusOfVolume(spool, Math.max(fromMm3, 0));
	const counted = amount ? turnsOn(world, story.now, component, amount) : Infinity;
	const { lengthMm, turnsLeft } = windingAfter(spool, start, strand, counted);
	const whole = windingAfter(spool, start, strand, 0).turnsLeft;
	const nowMm3 = amount ? afterAmount(world, story.now, component, fromMm3, amount) : endMm3;
	return {
		turns: whole - turnsLeft,
		lengthMm,
		startDepthMm,
		depthMm: depthAt(nowMm3),
		turnsLeft,
		lengthLeftMm: totalLengthMm(strand.sections) - lengthMm,
		endDepthMm: depthAt(endMm3)
	};
}

/** What would be right to do in a world. What is not there cannot come off. */
export function rightTodo(world: World, story: Story, stop: number, { gapMm }: Problem): Todo {
	const { spool } = world;
	const { startMm3, nowMm3 } = onNow(world, story, stop);
	const targetMm3 = volumeOfRadius(spool, spool.gapFromRadiusMm - gapMm);
	const stopMm3 = Math.max(targetMm3 - over(world, story.end, stop), startMm3);
	const space = perMm(world, story, stop);
	const stopMm2 = areaOf(world, stopMm3);
	return {
		turns: (stopMm2 - areaOf(world, nowMm3)) / space,
		lengthMm: (stopMm3 - nowMm3) / space,
		stopDepthMm: spool.rimRadiusMm - radiusOfVolume(spool, stopMm3),
		wholeTurns: (stopMm2 - areaOf(world, startMm3)) / space,
		wholeLengthMm: (stopMm3 - startMm3) / space
	};
}

/** Final gap in a world when so many turns go on or come off. */
export function gapByTurns(world: World, story: Story, stop: number, { turns }: Pick<Todo, 'turns'>): number {
	const { startMm3, nowMm3 } = onNow(world, story, stop);
	const areaMm2 = areaOf(world, nowMm3) + turns * perMm(world, story, stop);
	const endMm3 = volumeOfRadius(world.spool, radiusOfArea(world.spool, areaMm2));
	return gapOver(world, story.end, stop, startMm3, Math.max(endMm3, startMm3));
}

/** The same when so much length does. */
export function gapByLength(
	world: World,
	story: Story,
	stop: number,
	{ lengthMm }: Pick<Todo, 'lengthMm'>
): number {
	const { startMm3, nowMm3 } = onNow(world, story, stop);
	const endMm3 = nowMm3 + lengthMm * perMm(world, story, stop);
	return gapOver(world, story.end, stop, startMm3, Math.max(endMm3, startMm3));
}

/** The same when it is wound, or unwound, until a rule reads the depth; `offMm` is what the rule reads too much. */
export function gapByDepth(
	world: World,
	story: Story,
	stop: number,
	{ stopDepthMm }: Todo,
	offMm = 0
): number {
	const startMm3 = under(world, story.now, stop);
	const radiusMm = world.spool.rimRadiusMm - stopDepthMm + world.off(HABIT) + offMm;
	return gapOver(world, story.end, stop, startMm3, Math.max(volumeOfRadius(world.spool, radiusMm), startMm3));
}

/** The gap when nothing is changed any more and what is left simply goes on. */
export function gapAsItIs(world: World, story: Story, stop: number): number {
	if (stop < 0)
		return world.spool.gapFromRadiusMm - radiusOfVolume(world.spool, over(world, story.now, stop));
	const { startMm3, nowMm3 } = onNow(world, story, stop);
	return gapOver(world, story.now, stop, startMm3, nowMm3);
}
