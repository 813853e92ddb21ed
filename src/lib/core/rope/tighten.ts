import type { Vec3 } from '../knots/curve';
import type { Movement, Peg } from '../knots/hands';
import { contactsOf, openBends, pushApart } from './contacts';
import { keepLengths } from './lengths';
import { centreLine, ropesAlong, type RopeShape, type Ropes } from './rope';

/** How far a hand goes in a step, mm. Less than a tenth of a strand, so that nothing is ever passed through. */
const STEP_MM = 0.06;
/** How often lengths, bends and contacts are put right in each step. */
const ROUNDS = 14;
/** Of the way to where its neighbours would have it straight, in each round. */
const BENDING = 0.02;
/** How much of its speed a node keeps from step to step; how far that takes it at most, mm. */
const INERTIA = 0.9;
const MOST_ON_MM = 0.1;
/** Overlap at which hands wait, and at which they give way; an overlap that no step may reach, mm. */
const FIRM_MM = 0.05;
const GIVE_MM = 0.1;
const NEVER_MM = 0.9;
/** Steps that hands wait before it is tight; steps in which they let go after that. */
const PATIENCE = 200;
const LETTING_GO = 150;
/** Contacts are looked for so far beyond touching, mm, and anew after so many steps. */
const REACH_MM = 0.5;
const LOOK_EVERY = 3;
/** Without a limit of its own a movement ends here, mm: hands that go on so far hold nothing. */
const FAR_MM = 240;
/** About how far a node may move from one moment to the next, mm. */
const MOMENT_MM = 0.5;

export interface Tightened {
	/** The centre-lines of all ropes at moments on the way, the loose ones first. */
	readonly moments: readonly (readonly (readonly Vec3[])[])[];
	/** The moment at which each movement ends, from the loose one (0) on. */
	readonly marks: readonly number[];
}

/**
 * Ropes drawn up as hands pull them: tubes that do not stretch, touch but do not pass through one another, bend no
 * tighter than they are thick, and would rather be straight. Position-based dynamics (M. Müller and others, 2007): each
 * step moves the hands a little, lets what moves run on, and puts lengths, bends and contacts right in turn.
 *
 * @throws RangeError where strands would pass through one another
 */
export function tighten(
	shapes: readonly RopeShape[],
	movements: readonly Movement[],
	posts: readonly Peg[] = []
): Tightened {
	const ropes = ropesAlong(shapes);
	const now = () => ropes.ropes.map((rope) => centreLine(ropes, rope));
	const moments = [now()];
	const marks = [0];
	for (const movement of movements) {
		pullThrough(ropes, movement, posts, () => moments.push(now()));
		marks.push(moments.length - 1);
	}
	return { moments, marks };
}

function pullThrough(ropes: Ropes, movement: Movement, posts: readonly Peg[], keep: () => void): void {
	const { grips, friction = 0, mostMm = FAR_MM, peg } = movement;
	const round = peg ? [...posts, peg] : posts;
	const { at, ease } = ropes;
	const held = grips.map(({ strand, share }) => {
		const { first, count } = ropes.ropes[strand]!;
		return first + Math.round(share * (count - 1));
	});
	const easeBefore = Float64Array.from(ease);
	for (const node of held) ease[node] = 0;
	const before = Float64Array.from(at);
	let contacts = contactsOf(ropes, REACH_MM);
	let [between, deepest, step] = [0, 0, 0];
	const go = (handsMm: number): void => {
		runOn(ropes, before);
		grips.forEach(({ toward }, k) => {
			for (let d = 0; d < 3; d++) at[3 * held[k]! + d]! += handsMm * toward[d]!;
		});
		if (step++ % LOOK_EVERY === 0) contacts = contactsOf(ropes, REACH_MM);
		for (let k = 0; k < ROUNDS; k++) {
			straighten(ropes);
			keepLengths(ropes);
			openBends(ropes);
			between = deepest = pushApart(ropes, contacts, before, friction);
			for (const post of round) deepest = Math.max(deepest, pushOut(ropes, post));
		}
		if (between > NEVER_MM)
			throw new RangeError(`strands would pass through one another: ${between} mm deep`);
	};
	let [gone, waited] = [0, 0];
	let kept = Float64Array.from(at);
	const keepIfMoved = (): void => {
		if (farthest(kept, at) < MOMENT_MM) return;
		keep();
		kept = Float64Array.from(at);
	};
	while (gone < mostMm && waited < PATIENCE) {
		if (deepest < FIRM_MM) {
			go(STEP_MM);
			gone += STEP_MM;
			waited = Math.max(0, waited - 1);
		} else {
			go(deepest > GIVE_MM ? -0.5 * STEP_MM : 0);
			waited += 1;
		}
		keepIfMoved();
	}
	for (let k = 0; k < LETTING_GO && deepest > 0.01; k++) {
		go(-0.1 * STEP_MM);
		keepIfMoved();
	}
	keep();
	ease.set(easeBefore);
}

/** The longest way that any node has gone, mm. Both arrays hold x, y, z of each node in turn. */
export function farthest(from: ArrayLike<number>, to: ArrayLike<number>): number {
	let most = 0;
	for (let i = 0; i < from.length; i += 3)
		most = Math.max(
			most,
			(to[i]! - from[i]!) ** 2 + (to[i + 1]! - from[i + 1]!) ** 2 + (to[i + 2]! - from[i + 2]!) ** 2
		);
	return Math.sqrt(most);
}

/** What moved goes on moving. */
function runOn({ at, ease }: Ropes, before: Float64Array): void {
	for (let i = 0; i < at.length; i++) {
		const on = ease[Math.floor(i / 3)]! * INERTIA * (at[i]! - before[i]!);
		before[i] = at[i]!;
		at[i]! += Math.max(-MOST_ON_MM, Math.min(MOST_ON_MM, on));
	}
}

/** A rope would rather be straight. */
function straighten({ at, ease, ropes }: Ropes): void {
	for (const { first, count } of ropes)
		for (let i = first + 1; i < first + count - 1; i++) {
			const p = 3 * i;
			for (let d = 0; d < 3; d++) {
				const off = BENDING * ((at[p + d - 3]! + at[p + d + 3]!) / 2 - at[p + d]!);
				at[p + d]! += ease[i]! * off;
				at[p + d - 3]! -= (ease[i - 1]! * off) / 2;
				at[p + d + 3]! -= (ease[i + 1]! * off) / 2;
			}
		}
}

/** Out of a post, the shortest way. Returns how deep it was at most, mm. */
function pushOut({ at, ease, ropeOf, ropes }: Ropes, { x, y, radiusMm }: Peg): number {
	let deepest = 0;
	for (let i = 0; i < ropeOf.length; i++) {
		const least = radiusMm + ropes[ropeOf[i]!]!.radiusMm;
		const [dx, dy] = [at[3 * i]! - x, at[3 * i + 1]! - y];
		const away = Math.hypot(dx, dy);
		if (away >= least || ease[i] === 0) continue;
		deepest = Math.max(deepest, least - away);
		at[3 * i] = x + (dx * least) / away;
		at[3 * i + 1] = y + (dy * least) / away;
	}
	return deepest;
}
