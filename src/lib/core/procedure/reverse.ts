import { gapStep, labelStep, lastLookStep, leaderStep } from './finish';
import type { JobPart, JobSetup } from './job';
import type { Found } from './joints';
import { toolsOf } from './laid-out';
import { cageStep, handStep, mountStep, supplyStep, toolsStep } from './prepare';
import {
	cutStep,
	firstOn,
	offAgain,
	overIt,
	runOutStep,
	turnRound,
	twinStep,
	windCut,
	windJoined
} from './reverse-steps';
import { behindFirst, firstId, type ReverseWay } from './reverse-ways';
import type { Step } from './step';
import { tool, type Tool, type ToolKey } from './tools';
import { arborStep, endSteps, joinStep, partSteps } from './winding';

/** What is filled back to front. */
export interface ReversePlan {
	readonly way: ReverseWay;
	/** The same strands back to front, as {@link backToFront} has them, each under its {@link firstId}. */
	readonly first: JobSetup;
}

const sumOf = (parts: readonly JobPart[], of: (part: JobPart) => number): number =>
	parts.reduce((sum, part) => sum + of(part), 0);

interface Split {
	readonly stop: JobPart;
	/** The strands under the stop part, which stay. */
	readonly under: readonly JobPart[];
	readonly over: readonly JobPart[];
}
function split(setup: JobSetup): Split | undefined {
	const at = setup.parts.findIndex(({ id }) => id === setup.stopPart);
	const stop = setup.parts[at];
	const over = setup.parts.slice(at + 1);
	return stop && over.length > 0 ? { stop, under: setup.parts.slice(0, at), over } : undefined;
}

/** Everything joined back to front: each strand to the one that lies under it already. */
function joinedFirst(
	setup: JobSetup,
	{ stop, over }: Split,
	first: JobSetup,
	way: Exclude<ReverseWay, 'spools'>
): Step[] {
	const found: Found = { onReel: true };
	const byId = (id: string): JobPart => first.parts.find((part) => part.id === firstId(id))!;
	const lines = over.toReversed();
	return [
		...lines.flatMap((part, i) => {
			const outer = lines[i - 1];
			return [
				...turnRound(first, byId(part.id), way),
				// The one that is on already has its front toward the arbor: the strand that comes is the one behind it.
				...(outer ? [joinStep(setup, outer, part, found)] : []),
				firstOn(first, byId(part.id), way, i === 0)
			];
		}),
		joinStep(setup, over[0]!, stop, found),
		overIt(first, byId(stop.id))
	];
}

/** The steps of a reverse fill, from the bare arbor to the label; none where nothing is wound to the gap under a line. */
export function reverseSteps(setup: JobSetup, { way, first }: ReversePlan): Step[] {
	const whole = split(setup);
	if (!whole) return [];
	const { stop, under, over } = whole;
	const byId = (id: string): JobPart => first.parts.find((part) => part.id === firstId(id))!;
	const bed = under.flatMap((part, i) => partSteps(setup, part, under[i - 1]));
	const below = under.at(-1);
	const tied = below ? joinStep(setup, stop, below, {}) : arborStep(setup);
	const closing = [gapStep(setup), leaderStep(setup), lastLookStep(setup), labelStep()];
	const ready = [toolsStep(), handStep(setup), mountStep(setup), supplyStep(setup)];
	const bedOn = bed.length > 0 ? [cageStep(setup), ...bed] : [];
	/** The end goes to the arbor a second time: through the frame again. */
	const again = bed.length > 0 ? [] : [cageStep(setup)];
	if (way === 'spools')
		return [
			...ready,
			...bedOn,
			...over.flatMap((part, i) => [
				...endSteps(first, byId(part.id)),
				firstOn(first, byId(part.id), way, i === 0)
			]),
			overIt(first, byId(stop.id)),
			cutStep(setup, stop, way),
			offAgain(
				first,
				byId(stop.id),
				'The end that was cut lies inside now, and the other one outside: that one goes on the arbor.'
			),
			...over
				.toReversed()
				.map((part) =>
					offAgain(
						first,
						byId(part.id),
						'Its front end goes on first, so its rear end lies outside in the end, ready to be joined.'
					)
				),
			...again,
			tied,
			windCut(setup, stop, way),
			...over.flatMap((part, i) => partSteps(setup, part, i === 0 ? stop : over[i - 1], { from: 'reel' })),
			...closing
		];
	const lengthMm = sumOf(first.parts, (part) => (behindFirst(part.id) ? part.lengthMm : 0));
	const backward = joinedFirst(setup, whole, first, way);
	const onAgain = [tied, windCut(setup, stop, way), ...over.map((part) => windJoined(setup, part, way))];
	return way === 'twin'
		? [...ready, twinStep(), ...backward, cutStep(setup, stop, way), ...again, ...onAgain, ...closing]
		: [
				...ready,
				...bedOn,
				...backward,
				cutStep(setup, stop, way),
				runOutStep(lengthMm),
				...again,
				...onAgain,
				...closing
			];
}

const WAY_TOOLS: Record<ReverseWay, readonly ToolKey[]> = {
	spools: ['tape', 'storage', 'helper'],
	twin: ['tape', 'twin-reel', 'storage'],
	ground: ['tape', 'stick', 'helper']
};

/** What it takes. */
export function reverseTools(setup: JobSetup, way: ReverseWay): Tool[] {
	const whole = split(setup);
	if (!whole) return [];
	const storages = 1 + whole.over.length;
	const more = WAY_TOOLS[way].map((key): Tool => {
		const one = tool(key);
		if (key === 'tape')
			return { ...one, name: ['Tape'], purpose: 'holds the end on the arbor for the first filling' };
		return key === 'storage' && way === 'spools'
			? {
					...one,
					name: [`${storages} empty storage spools, on an axle`],
					purpose: 'one for each strand that comes off again'
				}
			: one;
	});
	const usual = toolsOf({ ...setup, schools: { ...setup.schools, newLine: 'coil' } });
	const had = new Set(more.map(({ key }) => key));
	return [...usual.filter(({ key }) => !had.has(key)), ...more];
}
