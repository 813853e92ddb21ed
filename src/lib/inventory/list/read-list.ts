import { formatLineClass, parseLineClass, readDay, spoolOf, withUnit, type LengthUnit } from '$lib/core';
import type { SpoolForm } from '$lib/setup/form';
import { newComponent, newSetup } from '$lib/setup/presets';
import { readSource } from '$lib/setup/read-spool';
import { Reader } from '$lib/setup/read-text';
import { wordIssue, wordShape } from '$lib/wording/issues';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';
import { readBrought } from '../strands';
import { unitIn, type Columns } from './columns';
import { LineRow, ReelRow, type ListKind } from './rows';

/** A cell that does not read: which field it is for, and what to do about it. */
export interface CellIssue {
	readonly field: string;
	readonly message: string;
}
/** A row of a list as it was read. */
export interface ListRow {
	/** Counted as a spreadsheet does: the headings are row 1. */
	readonly number: number;
	/** What its cells say, by field. */
	readonly cells: Readonly<Record<string, string>>;
	/** Undefined where something does not read. */
	readonly row: ReelRow | LineRow | undefined;
	readonly issues: readonly CellIssue[];
	/** The same is here already, or stands further up in the list. */
	readonly double: boolean;
}

/** What is here already, to tell what comes twice. */
export interface There {
	readonly spools: readonly string[];
	readonly lines: readonly string[];
}

const LEFT = /^(l|left|lhw|left[\s-]hand.*)$/i;
const RIGHT = /^(r|right|rhw|right[\s-]hand.*)$/i;

/** The form of a spool as a list says it: measured where it says a measure. */
export function spoolOfRow({ name, hand, ...measures }: ReelRow): SpoolForm {
	const isMeasured = Object.values(measures).some((text) => text.trim() !== '');
	const { spool } = newSetup();
	return { ...spool, name, hand, ...measures, way: isMeasured ? 'measured' : spool.way };
}
/** The strand that a line of a list is. */
export const componentOfRow = ({ line, length, name }: LineRow) => ({
	...newComponent('line', 'line', { way: 'class', class: line }),
	length,
	note: name
});

/** The fields of the measures that the core names. */
const FIELD_OF: Readonly<Record<string, string>> = {
	rimDiameterMm: 'rim',
	arborDiameterMm: 'arbor',
	widthMm: 'width',
	frameDiameterMm: 'frame'
};

/** What is wrong with the measures of a reel, or with a line, by field. */
export function issuesOfRow(kind: ListKind, row: ReelRow | LineRow, units: UnitSystem): CellIssue[] {
	if (kind === 'lines') {
		const read = readBrought({ id: 'line', component: componentOfRow(row as LineRow) });
		return read.ok
			? []
			: read.issues.map((issue) => ({
					field: String(issue.path.at(-1)) === 'length' ? 'length' : 'line',
					message: wordIssue(issue).message
				}));
	}
	const spool = spoolOfRow(row as ReelRow);
	if (spool.way !== 'measured') return [];
	const reader = new Reader();
	const source = readSource(spool, units, reader);
	// Each measure reads by itself; together they may still be no spool.
	const built = reader.issues.length === 0 ? spoolOf(source) : undefined;
	return [...reader.issues, ...(built && !built.ok ? built.issues : [])].map((issue) => ({
		field: FIELD_OF[String(issue.path.at(-1))] ?? String(issue.path.at(-1)),
		message: wordIssue(issue, units).message
	}));
}

/** A measure with a unit: its own, that of its column, or the person's. */
const measured = (cell: string, heading: string, usual: LengthUnit): string =>
	cell.trim() === '' ? '' : withUnit(cell, (unitIn(heading) as LengthUnit | undefined) ?? usual);

function readHand(cell: string): 'left' | 'right' | undefined {
	const typed = cell.trim();
	if (typed === '' || LEFT.test(typed)) return 'left';
	return RIGHT.test(typed) ? 'right' : undefined;
}

function readReel(
	cell: (key: string) => string,
	heading: (key: string) => string,
	units: UnitSystem
): { said: unknown; issues: CellIssue[] } {
	const hand = readHand(cell('hand'));
	const measure = (key: string): string => measured(cell(key), heading(key), smallUnit(units));
	return {
		said: {
			name: cell('name'),
			hand: hand ?? 'left',
			rim: measure('rim'),
			arbor: measure('arbor'),
			width: measure('width'),
			frame: measure('frame')
		},
		issues: hand ? [] : [{ field: 'hand', message: 'Give left or right, or leave it blank.' }]
	};
}

function readLine(
	cell: (key: string) => string,
	heading: (key: string) => string,
	units: UnitSystem,
	today: string
): { said: unknown; issues: CellIssue[] } {
	const issues: CellIssue[] = [];
	const line = parseLineClass(cell('line'));
	if (!line.ok)
		issues.push(...line.issues.map((issue) => ({ field: 'line', message: wordIssue(issue).message })));
	const days = cell('days').trim();
	if (days !== '' && !/^\d{1,3}$/.test(days))
		issues.push({ field: 'days', message: 'Give a whole number of days, or leave it blank for a new line.' });
	const came = cell('came').trim() || today;
	if (readDay(came) === undefined)
		issues.push({ field: 'came', message: 'Give a day, such as 2026-12-01, or leave it blank.' });
	const class_ = line.ok ? line.value : undefined;
	return {
		said: class_ && {
			line: class_,
			length: measured(cell('length'), heading('length'), longUnit(units)),
			name: cell('name').trim(),
			coil: cell('coil').trim() || cell('name').trim() || formatLineClass(class_),
			came,
			days: days === '' ? null : Number(days)
		},
		issues
	};
}

/** By what two rows are the same thing. */
const sameAs = (kind: ListKind, row: ReelRow | LineRow): string =>
	kind === 'reels'
		? (row as ReelRow).name.trim().toLowerCase()
		: lineKey(formatLineClass((row as LineRow).line), (row as LineRow).name);
/** The same of a line that is here. */
export const lineKey = (code: string, name: string): string => `${code} ${name.trim().toLowerCase()}`;

/**
 * Reads a list by its columns: a table of texts, its headings first. Nothing is written; rows that are empty are passed over.
 *
 * @param today the day that a line came where the list says none
 */
export function readList(
	kind: ListKind,
	[headings = [], ...rows]: readonly (readonly string[])[],
	columns: Columns,
	{ units, today, there }: { readonly units: UnitSystem; readonly today: string; readonly there: There }
): ListRow[] {
	const seen = new Set(
		kind === 'reels' ? there.spools.map((name) => name.trim().toLowerCase()) : there.lines
	);
	return rows.flatMap((texts, i): ListRow[] => {
		if (texts.every((text) => text.trim() === '')) return [];
		const cell = (key: string): string => (columns[key] === undefined ? '' : (texts[columns[key]] ?? ''));
		const heading = (key: string): string =>
			columns[key] === undefined ? '' : (headings[columns[key]] ?? '');
		const { said, issues } =
			kind === 'reels' ? readReel(cell, heading, units) : readLine(cell, heading, units, today);
		const shape = said === undefined ? undefined : (kind === 'reels' ? ReelRow : LineRow).safeParse(said);
		const shapeIssues = shape?.error
			? wordShape(shape.error).map(({ path, message }) => ({ field: String(path[0]), message }))
			: [];
		const found = shape?.success ? issuesOfRow(kind, shape.data, units) : [];
		const all = [...issues, ...shapeIssues, ...found];
		const row = all.length === 0 && shape?.success ? shape.data : undefined;
		const key = row && sameAs(kind, row);
		const double = key !== undefined && seen.has(key);
		if (key !== undefined) seen.add(key);
		const cells = Object.fromEntries(Object.keys(columns).map((name) => [name, cell(name)]));
		return [{ number: i + 2, cells, row, issues: all, double }];
	});
}
