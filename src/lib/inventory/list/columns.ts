import type { ListKind } from './rows';

/** What a column of a list can say. */
export interface ListField {
	readonly key: string;
	readonly label: string;
	/** A row without it is none. */
	readonly needed: boolean;
	/** Words that a heading for it has, in small letters. */
	readonly words: readonly string[];
}

export const LIST_FIELDS: Readonly<Record<ListKind, readonly ListField[]>> = {
	reels: [
		{ key: 'name', label: 'Name', needed: true, words: ['name', 'reel', 'spool', 'model'] },
		{ key: 'hand', label: 'Hand', needed: false, words: ['hand', 'wind', 'retrieve'] },
		{ key: 'rim', label: 'Across the rims', needed: false, words: ['rim', 'rims', 'diameter', 'outside'] },
		{ key: 'arbor', label: 'Across the arbor', needed: false, words: ['arbor', 'arbour', 'core', 'hub'] },
		{
			key: 'width',
			label: 'Between the flanges',
			needed: false,
			words: ['width', 'flange', 'flanges', 'wide']
		},
		{ key: 'frame', label: 'Across the frame', needed: false, words: ['frame', 'cage', 'pillar', 'pillars'] }
	],
	lines: [
		{ key: 'line', label: 'Line', needed: true, words: ['line', 'class', 'weight', 'code'] },
		{ key: 'length', label: 'Length', needed: false, words: ['length', 'long'] },
		{ key: 'name', label: 'What you call it', needed: false, words: ['name', 'called', 'colour', 'note'] },
		{ key: 'coil', label: 'Written on its coil', needed: false, words: ['coil', 'label', 'where', 'tag'] },
		{ key: 'came', label: 'Came on', needed: false, words: ['came', 'bought', 'since', 'date', 'day'] },
		{ key: 'days', label: 'Days out', needed: false, words: ['days', 'fished', 'out', 'outings'] }
	]
};

const wordsOf = (heading: string): string[] =>
	heading
		.toLowerCase()
		.split(/[^\p{L}\d"]+/u)
		.filter(Boolean);

/** Units that a heading can carry, as they are typed behind a number. */
const UNITS: Readonly<Record<string, string>> = {
	mm: 'mm',
	cm: 'cm',
	m: 'm',
	metres: 'm',
	meters: 'm',
	in: 'in',
	inch: 'in',
	inches: 'in',
	'"': 'in',
	ft: 'ft',
	feet: 'ft',
	yd: 'yd',
	yds: 'yd',
	yards: 'yd'
};

/** The unit that a heading carries: "Rim (mm)", "length_yd". */
export const unitIn = (heading: string): string | undefined =>
	wordsOf(heading)
		.map((word) => UNITS[word])
		.findLast((unit) => unit !== undefined);

/** Which column says what, by its place; a field that no column says is not in it. */
export type Columns = Readonly<Record<string, number>>;

/**
 * Guesses which column says what, by the words of its heading, and no column twice. A field's first word tells most: "Arbor diameter" is
 * the arbor, and what is left with a "diameter" is the rim.
 */
export function guessColumns(kind: ListKind, headings: readonly string[]): Columns {
	const columns: Record<string, number> = {};
	const said = headings.map(wordsOf);
	const fields = LIST_FIELDS[kind].toSorted((a, b) => Number(a.needed) - Number(b.needed));
	const depth = Math.max(...fields.map(({ words }) => words.length));
	for (let i = 0; i < depth; i++)
		for (const { key, words } of fields) {
			const word = words[i];
			if (word === undefined || columns[key] !== undefined) continue;
			const at = said.findIndex(
				(heading, place) => heading.includes(word) && !Object.values(columns).includes(place)
			);
			if (at >= 0) columns[key] = at;
		}
	return columns;
}
