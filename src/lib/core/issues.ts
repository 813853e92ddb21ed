/**
 * Bad input as data. The core never words a complaint: it names it (`code`), says where (`path`) and
 * with which numbers. `wording/issues.ts` is the one place that turns an issue into a sentence.
 */
export type Path = readonly (string | number)[];

export type IssueDetail =
	| { code: 'unreadable_quantity'; text: string }
	| { code: 'ambiguous_comma'; text: string }
	| { code: 'unknown_unit'; unit: string; known: readonly string[] }
	| { code: 'missing_value' }
	| { code: 'out_of_range'; value: number; min: number; max: number; unit: string }
	| { code: 'arbor_not_inside_rim'; arborDiameterMm: number; rimDiameterMm: number }
	| { code: 'frame_inside_arbor'; frameDiameterMm: number; arborDiameterMm: number }
	| { code: 'profile_too_short'; points: number }
	| { code: 'profile_not_rising'; diameterMm: number; previousDiameterMm: number }
	| { code: 'profile_closed'; diameterMm: number }
	| { code: 'packing_above_hexagonal'; layEfficiency: number; limit: number }
	| { code: 'too_many_unknowns'; count: number }
	| { code: 'gap_leaves_no_room'; gapMm: number; limitMm: number }
	| { code: 'gap_above_rim'; gapMm: number; limitMm: number }
	| { code: 'unknown_line_class'; text: string }
	| { code: 'unknown_material'; text: string; known: readonly string[] }
	| { code: 'needs_one_of'; fields: readonly string[] }
	| { code: 'conflicting_fields'; fields: readonly string[] }
	| { code: 'shorter_than_head'; lengthMm: number; leastMm: number }
	| { code: 'taper_gap'; row: number; fromMm: number; toMm: number }
	| { code: 'taper_not_forward'; row: number }
	| { code: 'taper_unknown_columns' }
	| { code: 'not_a_share'; text: string }
	| { code: 'not_a_gear'; text: string }
	| { code: 'unreadable_lay'; text: string }
	| { code: 'only_level_is_solved' }
	| { code: 'depth_below_arbor'; depthMm: number; limitMm: number }
	| { code: 'depth_above_rim'; depthMm: number }
	| { code: 'depth_below_start'; depthMm: number; limitMm: number }
	| { code: 'line_alone_fills'; gapMm: number; wantedMm: number }
	| { code: 'no_such_component'; index: number; count: number }
	| { code: 'reading_contradicts'; valueMm: number; lowMm: number; highMm: number }
	| { code: 'turns_contradict'; turns: number; low: number; high: number }
	| { code: 'no_line_takes'; spaceMm3: number; least: number; most: number }
	| { code: 'not_a_count'; least: number }
	| { code: 'not_of_this_stock' }
	| { code: 'bulk_spool_unmeasured' }
	| { code: 'no_turns_yet' }
	| { code: 'nothing_to_correct' }
	| {
			code: 'rating_contradicts_measures';
			rimDiameterMm: number;
			arborDiameterMm: number;
			widthMm: number;
	  }
	| { code: 'rating_beyond_measures'; ratedSpaceMm3: number; roomMm3: number };

export type Issue = IssueDetail & { path: Path };

export type Result<T> = { ok: true; value: T } | { ok: false; issues: Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (detail: IssueDetail, path: Path = []): { ok: false; issues: Issue[] } => ({
	ok: false,
	issues: [{ ...detail, path }]
});

/** The same issues seen from further out: `prefix` is put before every path. */
export const under = (issues: readonly Issue[], ...prefix: Path): Issue[] =>
	issues.map((issue) => ({ ...issue, path: [...prefix, ...issue.path] }));

/** The same result seen from further out. */
export const within = <T>(result: Result<T>, ...prefix: Path): Result<T> =>
	result.ok ? result : { ok: false, issues: under(result.issues, ...prefix) };

/**
 * All the values, or all the issues there are.
 *
 * @param at where the result with a number stands
 */
export function all<T>(results: readonly Result<T>[], at: (index: number) => Path): Result<T[]> {
	const issues = results.flatMap((result, i) => (result.ok ? [] : under(result.issues, ...at(i))));
	return issues.length > 0
		? { ok: false, issues }
		: ok(results.flatMap((result) => (result.ok ? [result.value] : [])));
}
