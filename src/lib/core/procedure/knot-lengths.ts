import { takenMm, type TakenFrom } from '../knots/takes';
import type { JobSetup } from './job';
import { arborTying } from './arbor';
import { tyingOf, type Tying } from './joints';

const FROM: Partial<Record<JobSetup['parts'][number]['role'], TakenFrom>> = {
	bed: 'mono',
	backing: 'backing'
};

/**
 * What the knots at both ends of a part take of it, mm: its joint to the strand under it or the knot on the arbor, and
 * the joint of the strand over it.
 *
 * @throws RangeError for a part that is not in the set-up
 */
export function knotLengthMm(setup: JobSetup, id: string): number {
	const at = setup.parts.findIndex((part) => part.id === id);
	const part = setup.parts[at];
	if (!part) throw new RangeError(`no part ${id} in the set-up`);
	const [under, over] = [setup.parts[at - 1], setup.parts[at + 1]];
	const ends: Tying[] = [
		under ? tyingOf(setup, part, under) : arborTying(setup),
		...(over ? [tyingOf(setup, over, part)] : [])
	];
	return takenMm(
		ends.flatMap(({ knots }) => knots.map(({ slug }) => slug)),
		FROM[part.role] ?? 'line'
	);
}
