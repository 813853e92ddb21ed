import { ROLE_NAMES } from '$lib/core';

/** What the fields of a set-up are called, by their keys. */
const NAMES: Readonly<Record<string, string>> = {
	name: 'Name of the spool',
	hand: 'Wind with the',
	cage: 'Cage',
	way: 'How the spool is known',
	ratings: 'Figures from the box',
	allowance: "Makers' allowance",
	shape: 'Shape of the spool',
	rim: 'Across the rims',
	arbor: 'Across the arbor',
	width: 'Between the flanges',
	low: 'Arbor where lowest',
	floor: 'Between the flanges, at the arbor',
	frame: 'Inside the frame',
	stack: 'Order of the parts',
	gap: 'Gap',
	winding: 'How it is wound',
	lay: 'How tightly you wind',
	arborTurns: 'Turns round the arbor',
	leader: 'Leader',
	halfFit: 'Depth of the half-fit',
	reverseTurns: 'Turns of the reverse fill',
	made: 'what it is',
	length: 'length',
	joint: 'joint',
	colour: 'colour',
	note: 'what it is called',
	role: 'part',
	solve: 'whether its length is worked out'
};

/** What a field of a set-up is called, by its path. */
export function fieldName(path: readonly string[]): string {
	const [group, list, id, ...rest] = path;
	if (group === 'fill' && (list === 'stack' || list === 'swaps') && id !== undefined) {
		const part = id.replace(/-\d+$/, '');
		const role = (ROLE_NAMES as Readonly<Record<string, string>>)[part] ?? part;
		const field = rest[0] === undefined ? '' : `, ${NAMES[rest[0]] ?? rest[0]}`;
		return `${role[0]!.toUpperCase()}${role.slice(1)}${field}`;
	}
	if (list === 'spreads') return `Uncertainty: ${NAMES[id!]?.toLowerCase() ?? id}`;
	if (list === 'filled') return `What is on it now: ${NAMES[id!]?.toLowerCase() ?? id}`;
	return NAMES[path.at(-1)!] ?? path.slice(1).join(', ');
}

function valueText(value: unknown): string {
	if (value === undefined) return 'taken off';
	if (value === '') return 'empty';
	if (typeof value !== 'object' || value === null) return String(value);
	return Object.values(value).map(valueText).join(', ');
}

/** A field that two windows changed differently, in words. */
export const clashText = ({
	path,
	mine,
	theirs
}: {
	readonly path: readonly string[];
	readonly mine: unknown;
	readonly theirs: unknown;
}): { name: string; mine: string; other: string } => ({
	name: fieldName(path),
	mine: valueText(mine),
	other: valueText(theirs)
});
