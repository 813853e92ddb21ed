import { formatLength, formatNumber, type Issue, type IssueDetail } from '$lib/core';
import type { z } from 'zod';
import { longUnit, smallUnit, type UnitSystem } from './units';

/** An issue with its sentence, as the API returns it and a form shows it beside the field. */
export interface WordedIssue {
	code: string;
	path: (string | number)[];
	message: string;
}

/** How the measures in a sentence are written. */
interface Shown {
	readonly mm: (valueMm: number) => string;
	/** A length that is bought, to so many decimals. */
	readonly long: (valueMm: number, decimals: number) => string;
	readonly between: (min: number, max: number, unit: string) => string;
}

const shownIn = (units: UnitSystem): Shown => {
	const [small, long] = [smallUnit(units), longUnit(units)];
	const mm = (valueMm: number): string => formatLength(valueMm, small);
	return {
		mm,
		long: (valueMm, decimals) => formatLength(valueMm, long, decimals),
		between: (min, max, unit) =>
			unit === 'mm' && small === 'in' ? `${mm(min)} and ${mm(max)}` : `${min} and ${max} ${unit}`
	};
};

const list = (items: readonly string[]): string =>
	items.length > 1 ? `${items.slice(0, -1).join(', ')} or ${items.at(-1)!}` : items.join('');

type Words = {
	[C in IssueDetail['code']]: (detail: Extract<IssueDetail, { code: C }>, shown: Shown) => string;
};

/** The one place where an issue gets its words. Each says what to do; none blames the person. */
const WORDS: Words = {
	unreadable_quantity: ({ text }) =>
		`"${text.slice(0, 40)}" isn't a measure. Type a number and a unit, such as 3 3/8 in, 85 mm or 100 yd.`,
	ambiguous_comma: ({ text }) =>
		`"${text.slice(0, 40)}" could mean thousands or a decimal. Type it without the comma, or with a point.`,
	unknown_unit: ({ unit, known }) =>
		`"${unit.slice(0, 20)}" isn't a unit that Wendle knows. Use ${list(known)}.`,
	missing_value: () => 'This is blank. Type a value.',
	out_of_range: ({ min, max, unit }, { between }) => `Needs to be between ${between(min, max, unit)}.`,
	arbor_not_inside_rim: ({ arborDiameterMm, rimDiameterMm }, { mm }) =>
		`An arbor of ${mm(arborDiameterMm)} doesn't go inside a rim of ${mm(rimDiameterMm)}. Measure both straight across, as diameters.`,
	frame_inside_arbor: ({ frameDiameterMm, arborDiameterMm }, { mm }) =>
		`A frame of ${mm(frameDiameterMm)} inside leaves no room around an arbor of ${mm(arborDiameterMm)}. Measure the frame straight across, as a diameter.`,
	profile_too_short: ({ points }) =>
		`A profile needs at least two points, one at the arbor and one at the rim. There ${points === 1 ? 'is 1' : `are ${points}`}.`,
	profile_not_rising: ({ diameterMm, previousDiameterMm }, { mm }) =>
		`A profile goes from the arbor out to the rim, so ${mm(diameterMm)} must be more than the ${mm(previousDiameterMm)} before it.`,
	profile_closed: ({ diameterMm }, { mm }) =>
		`The spool has no width at ${mm(diameterMm)}. Only its lowest point may have no width.`,
	packing_above_hexagonal: ({ layEfficiency, limit }) =>
		`A tightness of ${formatNumber(layEfficiency, 2)} is denser than round strands can lie. Use ${formatNumber(limit, 2)} or less; 0.90 is firm, even winding.`,
	too_many_unknowns: ({ count }) =>
		`${count} strands have no length. Give the length of all but one, and Wendle works that one out.`,
	gap_leaves_no_room: ({ gapMm, limitMm }, { mm }) =>
		`A gap of ${mm(gapMm)} leaves nothing to wind on, since the arbor is only ${mm(limitMm)} down.`,
	gap_above_rim: ({ gapMm, limitMm }, { mm }) =>
		`A gap of ${mm(gapMm)} to the frame lets line stand above the rim. Leave at least ${mm(limitMm)}.`,
	unknown_line_class: ({ text }) =>
		`"${text.slice(0, 20)}" isn't a line class. Type the taper, a number from 1 to 15, and F, I or S, such as WF6F, DT5F or L4I.`,
	unknown_material: ({ text, known }) =>
		`"${text.slice(0, 30)}" isn't a backing that Wendle knows. Use ${list(known)}, or give its diameter.`,
	needs_one_of: ({ fields }) => `Give ${list(fields)}.`,
	conflicting_fields: ({ fields }) => `Give only one of ${list(fields)}: they say the same thing.`,
	shorter_than_head: ({ lengthMm, leastMm }, { long }) =>
		`${long(lengthMm, 1)} is shorter than the head and tapers of this line, which take ${long(leastMm, 1)}. Give the line's sections, or a longer length.`,
	taper_gap: ({ row, fromMm, toMm }, { long }) =>
		`Row ${row} begins at ${long(toMm, 2)}, but the row before it ends at ${long(fromMm, 2)}. Fill the gap, or remove the overlap.`,
	taper_not_forward: ({ row }) =>
		`Row ${row} doesn't go forward. Each row has to end further along the line than it begins.`,
	taper_unknown_columns: () =>
		"Wendle can't tell what these columns are. Give length, start and end diameter; or from, to, start and end; or distance and diameter.",
	not_a_count: ({ least }) => `Give a whole number from ${least} to 999.`,
	not_of_this_stock: () =>
		'Backing is cut, weighed and measured; boxes come, are taken out and counted. Choose what fits this entry.',
	bulk_spool_unmeasured: () =>
		'A depth says how much is left once the spool is measured. Give it across the flanges, across the core and between the flanges first.',
	not_a_gear: ({ text }) =>
		`"${text.slice(0, 20)}" isn't a ratio from 1 to 8. Turn the handle ten times, count the spool, and type what you saw, such as 47 in 10.`,
	not_a_share: ({ text }) => `"${text.slice(0, 20)}" isn't a percentage. Type one from 0 to 50, such as 5 %.`,
	unreadable_lay: ({ text }) =>
		`"${text.slice(0, 20)}" isn't a share. Type a share of perfectly square winding, such as 0.86, or 0.86 ± 3 %.`,
	only_level_is_solved: () =>
		'Wendle can only work out the length of a strand of one thickness, such as backing. This one tapers, so give its length.',
	depth_below_arbor: ({ depthMm, limitMm }, { mm }) =>
		`A depth of ${mm(depthMm)} is below the arbor, which is ${mm(limitMm)} down. Lay the rule across both rims, and read down to the line's surface.`,
	depth_above_rim: ({ depthMm }, { mm }) =>
		`A depth of ${mm(depthMm)} is above the rim. Read from the rim down to the line's surface.`,
	depth_below_start: ({ depthMm, limitMm }, { mm }) =>
		`A depth of ${mm(depthMm)} is where this strand began, or lower (${mm(limitMm)}). With turns on, the depth must be less.`,
	line_alone_fills: ({ gapMm, wantedMm }, { mm }) =>
		`The line alone leaves a gap of ${mm(gapMm)}, and ${mm(wantedMm)} is wanted, so no backing goes under it on this spool. Use a slimmer or shorter line, or a smaller gap.`,
	no_such_component: ({ index, count }) =>
		`There is no strand ${index}. The stack has ${count} strands, counted from 0 at the arbor.`,
	reading_contradicts: ({ valueMm, lowMm, highMm }, { mm }) =>
		`You read ${mm(valueMm)}, but everything else says ${mm(lowMm)} to ${mm(highMm)}. Read it again, and check the count and the measures.`,
	turns_contradict: ({ turns, low, high }) =>
		`${Math.round(turns)} turns don't match these depths. This backing would take ${Math.ceil(low)} to ${Math.floor(high)}. Check the count, the depths and the backing's diameter.`,
	no_line_takes: ({ spaceMm3, least }) =>
		spaceMm3 < least
			? 'No fly line takes so little room. Read the depth from the rim down to the line, with the whole line on.'
			: 'No fly line takes so much room. Read the depth with the line alone on the bare arbor, and check the spool.',
	no_turns_yet: () => 'Count the turns that are on. A check while winding needs some.',
	nothing_to_correct: () =>
		'Every strand has a length, so there is nothing to take off or add. Leave out the length of the backing.',
	rating_contradicts_measures: ({ rimDiameterMm, arborDiameterMm, widthMm }, { mm }) =>
		`These figures and measures contradict each other. Together they make a spool of ${mm(rimDiameterMm)} across the rims, ${mm(arborDiameterMm)} across the arbor and ${mm(widthMm)} wide. Check the figure, the rim and the width, or leave a measure out.`,
	rating_beyond_measures: () =>
		"The maker's figure is more than a spool of this rim and width can hold, even with no arbor. Check both, or subtract more from the maker's figure."
};

/** @param units how its measures are written: as the person reads them, or in millimetres and metres as the API does */
export function wordIssue(issue: Issue, units: UnitSystem = 'm-mm'): WordedIssue {
	const word = WORDS[issue.code] as (detail: IssueDetail, shown: Shown) => string;
	return { code: issue.code, path: [...issue.path], message: word(issue, shownIn(units)) };
}

const SHAPE_WORDS: Partial<Record<z.core.$ZodIssue['code'], (issue: never) => string>> = {
	invalid_type: ({ expected, input }: z.core.$ZodIssueInvalidType) =>
		input === undefined ? `This is missing. Give a ${expected}.` : `This has to be a ${expected}.`,
	too_small: ({ minimum, origin, inclusive }: z.core.$ZodIssueTooSmall) =>
		origin === 'number'
			? `Needs to be ${inclusive ? 'at least' : 'more than'} ${minimum}.`
			: `Needs at least ${minimum} ${origin === 'array' ? 'entries' : 'characters'}.`,
	too_big: ({ maximum, origin }: z.core.$ZodIssueTooBig) =>
		origin === 'number'
			? `Needs to be at most ${maximum}.`
			: `Takes at most ${maximum} ${origin === 'array' ? 'entries' : 'characters'}.`,
	unrecognized_keys: ({ keys }: z.core.$ZodIssueUnrecognizedKeys) =>
		`Wendle doesn't know this: ${keys.slice(0, 5).join(', ')}. Remove it, or check its spelling.`,
	invalid_value: ({ values }: z.core.$ZodIssueInvalidValue) => `Use one of ${list(values.map(String))}.`
};

/** A shape that did not parse, in the same form as the core's issues. */
export function wordShape(error: z.ZodError): WordedIssue[] {
	return error.issues.slice(0, 50).map((issue) => {
		const word = SHAPE_WORDS[issue.code] as ((issue: z.core.$ZodIssue) => string) | undefined;
		return {
			code: issue.code,
			path: issue.path.map((step) => (typeof step === 'symbol' ? String(step) : step)),
			message: word?.(issue) ?? issue.message
		};
	});
}
