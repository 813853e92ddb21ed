import { byName } from '$lib/wording/by-name';
import type { RackView } from '../../state/rack-query';
import type { RackEntry } from './shown';

/** Spools under one heading; a heading only where they are grouped. */
export interface RackGroup {
	readonly heading: string;
	readonly entries: readonly RackEntry[];
}

type Due = Readonly<Record<string, number>>;
/** The waters that what is on a spool was fished in. */
export type Waters = Readonly<Record<string, 'fresh' | 'salt'>>;

/** What can be looked for: its name, what is on it, and who wound it. */
const textOf = ({ name, facts, who }: RackEntry): string =>
	[name, ...facts, who ?? ''].join(' ').toLowerCase();

/** Every word that is looked for stands somewhere in it. */
const isSought = (entry: RackEntry, sought: string): boolean => {
	const text = textOf(entry);
	return sought
		.toLowerCase()
		.split(/\s+/)
		.every((word) => text.includes(word));
};

const isShown = (entry: RackEntry, show: RackView['show'], due: Due): boolean => {
	switch (show) {
		case 'all':
			return true;
		case 'due':
			return (due[entry.id] ?? 0) > 0;
		case 'bench':
			return (entry.job?.done ?? 0) > 0;
		case 'planned':
			return entry.job?.done === 0;
	}
};

/** The newest winding first; what was never wound comes last. */
const byWound = (a: RackEntry, b: RackEntry): number =>
	a.woundOn && b.woundOn
		? b.woundOn.compare(a.woundOn)
		: Number(b.woundOn !== undefined) - Number(a.woundOn !== undefined);

const SORTS: Record<RackView['sort'], (due: Due) => (a: RackEntry, b: RackEntry) => number> = {
	added: () => () => 0,
	name: () => (a, b) => byName(a.name, b.name),
	wound: () => byWound,
	due: (due) => (a, b) => (due[b.id] ?? 0) - (due[a.id] ?? 0)
};

/** "Beck reel, grayling" is a spool of "Beck reel". */
const reelOf = ({ name }: RackEntry): string => name.split(',')[0]!.trim();
const WATERS = { fresh: 'Fished in fresh water', salt: 'Fished in salt water' } as const;
const GROUPS: Record<
	Exclude<RackView['group'], 'none'>,
	(entry: RackEntry, due: Due, waters: Waters) => string
> = {
	water: ({ id }, _due, waters) => (waters[id] ? WATERS[waters[id]] : 'Not fished yet'),
	reel: reelOf,
	who: ({ who }) => (who ? `Wound by ${who}` : 'Nobody said who wound it'),
	due: ({ id }, due) => ((due[id] ?? 0) > 0 ? 'Something is due' : 'Nothing is due')
};

/** The spools that are looked for, in order, under their headings. */
export function arranged(
	entries: readonly RackEntry[],
	sought: string,
	{ show, sort, group }: RackView,
	due: Due,
	waters: Waters
): RackGroup[] {
	const found = entries
		.filter((entry) => isSought(entry, sought.trim()) && isShown(entry, show, due))
		.toSorted(SORTS[sort](due));
	if (group === 'none') return found.length > 0 ? [{ heading: '', entries: found }] : [];
	const headingOf = GROUPS[group];
	const headings = [...new Set(found.map((entry) => headingOf(entry, due, waters)))];
	return headings.map((heading) => ({
		heading,
		entries: found.filter((entry) => headingOf(entry, due, waters) === heading)
	}));
}

/** The first so many spools of all groups; a group of which none is left goes. */
export function firstOf(groups: readonly RackGroup[], most: number): RackGroup[] {
	let left = most;
	return groups.flatMap(({ heading, entries }) => {
		const first = entries.slice(0, left);
		left -= first.length;
		return first.length > 0 ? [{ heading, entries: first }] : [];
	});
}
