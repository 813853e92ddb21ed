import { fail, type Path, type Result } from '../../issues';
import type { Belief } from '../belief';
import { IMPOSSIBLE_Z } from '../reading';

/** The first reading that cannot be, as an issue at the place where it was asked; nothing when all may be. */
export function contradiction(
	{ judged }: Belief,
	pathOf: (index: number) => Path
): Extract<Result<never>, { ok: false }> | undefined {
	const at = judged.findIndex(({ z, surprise }) => surprise && Math.abs(z!) > IMPOSSIBLE_Z);
	const one = judged[at];
	if (!one?.expected) return undefined;
	const { low, high } = one.expected.range;
	const { value } = one.told.observed[0]!;
	return fail(
		{ code: 'reading_contradicts', valueMm: value, lowMm: Math.max(low, 0), highMm: high },
		pathOf(at)
	);
}
