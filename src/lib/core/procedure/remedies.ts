import { keys } from '../keys';
import type { Sentence } from './phrase';
import type { Step } from './step';

/** Something that went wrong, as it looks from outside, and the way back. */
export interface Remedy {
	readonly key: RemedyKey;
	readonly sign: string;
	readonly doing: readonly Sentence[];
	/** Step to go back to; the run continues from there. */
	readonly back: string;
	/** Steps that have to be done again, in order: that one and those after it, up to the step in hand. */
	readonly reopens: readonly string[];
	/** Parts that come off the spool: their turns no longer count. */
	readonly off: readonly string[];
}

/** Where to go back to: a kind of step. Of parts: the one in hand, the first that is wound, or the stop part. */
type Back = 'hand' | 'cage' | 'supply' | 'arbor' | 'end' | 'join' | 'wind' | 'stop';
/** What comes off: nothing, what is in hand and over it, what is over the stop part, or everything. */
type Off = 'nothing' | 'part' | 'over-stop' | 'all';

interface RemedyAsWritten {
	readonly sign: string;
	readonly doing: readonly Sentence[];
	readonly back: Back;
	readonly off: Off;
	/** Kinds of step on which it shows. */
	readonly shows: readonly Step['kind'][];
}

/** Common practice throughout. */
const REMEDIES = {
	'wrong-hand': {
		sign: 'It is set, or wound, for the wrong hand',
		doing: [
			[
				'Take off what is on, with the supply spool turning. Backing that is wound the wrong way has to come off again.'
			],
			[
				"Turn the reel's drag round as its leaflet says, and check both ways: free when you wind in, held when line goes out."
			]
		],
		back: 'hand',
		off: 'all',
		shows: ['hand', 'arbor', 'wind', 'gap', 'last-look']
	},
	'drag-slips': {
		sign: "The drag doesn't hold, or it holds both ways",
		doing: [
			['Tighten the drag a little and pull again. Make sure that the spool has clicked home.'],
			['If it holds when you wind in, it is set for the other hand. Turn it round as the leaflet says.']
		],
		back: 'hand',
		off: 'nothing',
		shows: ['hand', 'mount', 'last-look']
	},
	caught: {
		sign: 'The backing is caught outside the cage',
		doing: [
			["Don't force the spool home. A pinched strand is a weak strand."],
			[
				'Take it off down to the arbor, thread the end through the opening, under the guard, and tie it again.'
			]
		],
		back: 'cage',
		off: 'all',
		shows: ['cage', 'mount', 'arbor', 'wind', 'last-look']
	},
	slips: {
		sign: 'The spool turns inside the backing',
		doing: [['Take it off, put a layer of tape on the arbor or one turn more in the knot, and start again.']],
		back: 'arbor',
		off: 'all',
		shows: ['arbor', 'wind']
	},
	'wrong-end': {
		sign: 'The wrong end of the line is joined',
		doing: [
			[
				'A line that is wound on backward casts like string. Take it off on to a spool that turns, and undo the joint.'
			],
			[
				'Find the end marked "this end to reel", or the head\'s coloured marker, and join that one. A line that lies out is fixed at its other end instead.'
			]
		],
		back: 'end',
		off: 'part',
		shows: ['end', 'join', 'wind', 'gap', 'leader', 'last-look']
	},
	'loop-small': {
		sign: 'The coil of line does not pass through the loop',
		doing: [['Cut the loop off and tie it again, 8–10 in long: the whole coil has to go through.']],
		back: 'join',
		off: 'nothing',
		shows: ['join']
	},
	hitched: {
		sign: 'The loops are hitched, not square',
		doing: [
			[
				'Push the loops together until they open, let the hitched one slide back over, and draw up both sides at once.'
			]
		],
		back: 'join',
		off: 'nothing',
		shows: ['join', 'leader']
	},
	crossed: {
		sign: 'The knot slides, or its wraps cross',
		doing: [['Cut it off and tie it on fresh line: a crossed wrap works loose.']],
		back: 'join',
		off: 'nothing',
		shows: ['join', 'leader']
	},
	heaped: {
		sign: "It's heaped on one side, or loose",
		doing: [
			['Unwind to where it was still level, and count the turns down as you go.'],
			[
				'Then wind on again firmly, guiding the line to the low side. Heaped turns bite into those below, and jam when a fish runs.'
			]
		],
		back: 'wind',
		off: 'nothing',
		shows: ['wind', 'gap', 'last-look']
	},
	twisted: {
		sign: "The line is twisted and throws loops when it's slack",
		doing: [
			['Take the twisted part off, let it hang free or lay it out straight, and pinch it along its length.'],
			[
				'Set the supply spool up so that it turns. A spool that lies on its side puts in a turn of twist with every coil.'
			]
		],
		back: 'wind',
		off: 'part',
		shows: ['supply', 'wind', 'gap', 'last-look']
	},
	'too-full': {
		sign: "It's too full: the line rubs, or is too near the rim",
		doing: [
			['Take the line off onto a spool that turns, and as much backing as "Look at the gap" says.'],
			['Cut the backing there, tie the joint again, and wind the line back on.']
		],
		back: 'stop',
		off: 'over-stop',
		shows: ['gap', 'last-look']
	},
	'too-empty': {
		sign: "It's too empty: it looks half full and winds in slowly",
		doing: [
			['Take the line off onto a spool that turns.'],
			[
				'Add as much backing as "Look at the gap" says: join on a length with a double uni or a nail knot, wind, and join the line again.'
			]
		],
		back: 'stop',
		off: 'over-stop',
		shows: ['gap', 'last-look']
	},
	'depth-off': {
		sign: 'The depth is more or less than it should be at these turns',
		doing: [
			['Press it down, lay the rule across both rims, and read in two places.'],
			[
				'Type what you read. Wendle works out the turns that are left from it. The depth counts, not the turns.'
			]
		],
		back: 'wind',
		off: 'nothing',
		shows: ['wind']
	}
} as const satisfies Record<string, RemedyAsWritten>;
export type RemedyKey = keyof typeof REMEDIES;
export const REMEDY_KEYS = /* @__PURE__ */ keys(REMEDIES);
export const remedySign = (key: RemedyKey): string => REMEDIES[key].sign;

const indexOf = (steps: readonly Step[], kind: string, part?: string): number =>
	steps.findIndex((step) => step.kind === kind && (part === undefined || step.part === part));

/** Place of the step to go back to, or −1 when this job has none such before the step in hand. */
function backFrom(
	steps: readonly Step[],
	at: number,
	{ back, off }: RemedyAsWritten,
	stopPart: string | undefined
): number {
	if (back === 'stop') return stopPart === undefined ? -1 : indexOf(steps, 'wind', stopPart);
	// A part's own steps: of the part in hand, else of the last one that was wound.
	// What is wrong with the leader's own knot is put right where it is tied.
	if (back === 'join' && steps[at]!.kind === 'leader') return at;
	const part = steps[at]!.part ?? steps.slice(0, at).findLast(({ kind }) => kind === 'wind')?.part;
	// A line that lies out is not coiled again: it is fixed at its other end.
	if (back === 'end' && steps[at]!.kind === 'join') {
		const anchor = steps.slice(0, at).findIndex(({ kind }) => kind === 'anchor');
		if (anchor > indexOf(steps, 'end', part)) return anchor;
	}
	// What is stretched on comes off to be laid out again.
	const laid = indexOf(steps, 'lay', part);
	if (back === 'wind' && off === 'part' && laid >= 0) return laid;
	if (back === 'end' || back === 'join' || back === 'wind') return indexOf(steps, back, part);
	return indexOf(steps, back);
}

function partsOff(
	steps: readonly Step[],
	at: number,
	off: Off,
	part: string | undefined,
	stopPart: string | undefined
): string[] {
	const wound = steps.slice(0, at + 1).flatMap((step) => (step.kind === 'wind' ? [step.part!] : []));
	if (off === 'nothing') return [];
	if (off === 'all') return wound;
	const from = wound.indexOf(off === 'part' ? (part ?? wound.at(-1) ?? '') : (stopPart ?? ''));
	if (from < 0) return [];
	return wound.slice(off === 'part' ? from : from + 1);
}

/** Where nothing comes off, the steps in between stay done: only that step opens again, and the one in hand. */
function reopened(steps: readonly Step[], place: number, at: number, off: Off): readonly Step[] {
	const since = steps.slice(place, at + 1);
	const own = steps[place]!.part !== undefined;
	return off === 'nothing' && !own ? since.filter((_, i) => i === 0 || i === since.length - 1) : since;
}

/** What may be wrong on the step at a place, with the way back in this very job. */
export function remediesAt(steps: readonly Step[], at: number, stopPart?: string): Remedy[] {
	const step = steps[at];
	if (!step) return [];
	return REMEDY_KEYS.flatMap((key): Remedy[] => {
		const known: RemedyAsWritten = REMEDIES[key];
		if (!known.shows.includes(step.kind)) return [];
		const place = backFrom(steps, at, known, stopPart);
		if (place < 0 || place > at) return [];
		return [
			{
				key,
				sign: known.sign,
				doing: known.doing,
				back: steps[place]!.id,
				reopens: reopened(steps, place, at, known.off).map(({ id }) => id),
				off: partsOff(steps, at, known.off, steps[at]!.part, stopPart)
			}
		];
	});
}
