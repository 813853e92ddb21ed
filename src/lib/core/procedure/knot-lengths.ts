import { takenMm, type TakenFrom } from '../knots/takes';
import type { JobPart, JobSetup } from './job';
import { arborTying } from './arbor';
import { tyingOf, type Tying } from './joints';

const FROM: Partial<Record<JobPart['role'], TakenFrom>> = {
	bed: 'mono',
	backing: 'backing'
};

/** A part of the set-up, with the strands under it and over it. */
function around(
	setup: JobSetup,
	id: string
): { part: JobPart; under: JobPart | undefined; over: JobPart | undefined } {
	const at = setup.parts.findIndex((part) => part.id === id);
	const part = setup.parts[at];
	if (!part) throw new RangeError(`no part ${id} in the set-up`);
	return { part, under: setup.parts[at - 1], over: setup.parts[at + 1] };
}
const takes = ({ role }: JobPart, tyings: readonly Tying[]): number =>
	takenMm(
		tyings.flatMap(({ knots }) => knots.map(({ slug }) => slug)),
		FROM[role] ?? 'line'
	);
const inner = (setup: JobSetup, part: JobPart, under: JobPart | undefined): Tying =>
	under ? tyingOf(setup, part, under) : arborTying(setup);

/**
 * What the knot at the inner end of a part takes of it, mm: its joint to the strand under it, or the knot on the arbor.
 *
 * @throws RangeError for a part that is not in the set-up
 */
export function firstKnotLengthMm(setup: JobSetup, id: string): number {
	const { part, under } = around(setup, id);
	return takes(part, [inner(setup, part, under)]);
}

/**
 * What the knots at both ends of a part take of it, mm: that one, and the joint of the strand over it.
 *
 * @throws RangeError for a part that is not in the set-up
 */
export function knotLengthMm(setup: JobSetup, id: string): number {
	const { part, under, over } = around(setup, id);
	return takes(part, [inner(setup, part, under), ...(over ? [tyingOf(setup, over, part)] : [])]);
}
