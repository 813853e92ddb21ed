import { JOINTS, jointsBetween, ROLES, TWO_HANDED, type Joint, type Role } from '$lib/core';
import { roleName } from '$lib/wording/strands';
import type { Made } from '$lib/setup/form';
import { capital } from './options';

/** What can join two strands; what is chosen already is among them. */
export const jointOptions = (under: Role, over: Role, chosen: Joint): { value: Joint; label: string }[] =>
	[...new Set([...jointsBetween(under, over), chosen])].map((value) => ({
		value,
		label: capital(JOINTS[value])
	}));
export const roleOptions = ROLES.filter((role) => role !== 'leader').map((value) => ({
	value,
	label: roleName(value)
}));
/** Ways to know a part. */
export const WAYS: Record<Made['way'], string> = {
	material: 'By material',
	class: 'By class',
	weighed: 'Weighed',
	grains: 'By weight',
	table: 'By table',
	level: 'By diameter'
};
/** Ways that make sense for a role, the likeliest first. */
export const waysOf = (role: Role): readonly Made['way'][] =>
	role === 'bed' || role === 'backing'
		? ['material', 'level']
		: role === 'line'
			? ['class', 'weighed', 'table', 'level']
			: role === 'head'
				? ['grains', 'table', 'level']
				: role === 'tip'
					? ['grains', 'level', 'table']
					: ['level', 'table'];
/** Those, and the one that was chosen when there was more to choose from. */
export const waysWith = (role: Role, chosen: Made['way']): readonly Made['way'][] => [
	...new Set([...waysOf(role), chosen])
];

/** Two-handed classes, each with the weight to fill in. */
const TWO_HANDED_WEIGHTS = new Map<string, string>(
	Object.values(TWO_HANDED).flatMap(({ label, grains }) =>
		Object.entries(grains).map(
			([number, weight]) => [`#${number} ${label}, ${weight} gr`, `${weight} gr`] as const
		)
	)
);
export const twoHandedOptions = [
	{ value: '', label: 'Two-handed class …' },
	...[...TWO_HANDED_WEIGHTS.keys()].map((label) => ({ value: label, label }))
];
export const weightOfClass = (chosen: string): string | undefined => TWO_HANDED_WEIGHTS.get(chosen);
/** What a running line is about as thick as. Common practice. */
export const thickAsOptions = [
	{ value: '', label: 'About as thick as …' },
	{ value: '0.45 mm', label: '20 lb mono, 0.45 mm' },
	{ value: '0.55 mm', label: '30 lb mono, 0.55 mm' },
	{ value: '0.7 mm', label: '50 lb mono, 0.7 mm' },
	{ value: '0.75 mm', label: 'a thin coated running line, 0.75 mm' },
	{ value: '0.9 mm', label: 'the rear of a whole #6, 0.9 mm' }
];
