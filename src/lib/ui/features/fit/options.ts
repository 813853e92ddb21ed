import {
	BACKING_MATERIALS,
	DENSITIES,
	JOINTS,
	jointsBetween,
	ROLES,
	TAPERS,
	WINDING_HANDS,
	type Density,
	type Joint,
	type Role,
	type Taper,
	type WindingHand
} from '$lib/core';
import { roleName } from '$lib/wording/strands';
import type { Made } from '$lib/setup/form';

const entries = <K extends string, V>(record: Record<K, V>): [K, V][] => Object.entries(record) as [K, V][];
const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

export const materialOptions = BACKING_MATERIALS.map(({ slug, label }) => ({ value: slug, label }));
export const taperOptions = entries<Taper, string>(TAPERS).map(([value, label]) => ({
	value,
	label: capital(label)
}));
export const densityOptions = entries<Density, { label: string }>(DENSITIES).map(([value, { label }]) => ({
	value,
	label: capital(label)
}));
export const numberOptions = Array.from({ length: 15 }, (_, i) => ({ value: i + 1, label: `#${i + 1}` }));
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
export const windingOptions = entries<WindingHand, { label: string }>(WINDING_HANDS).map(
	([value, { label }]) => ({
		value,
		label: capital(label)
	})
);
export const arborTurnOptions = [1, 2, 3].map((value) => ({
	value,
	label: value === 1 ? 'once' : value === 2 ? 'twice' : 'three times'
}));
export const allowanceOptions = [
	{ value: 0, label: '0 %' },
	{ value: 0.1, label: '10 %' },
	{ value: 0.2, label: '20 %' }
] as const;

/** Ways to know a part. */
export const WAYS: Record<Made['way'], string> = {
	material: 'By material',
	class: 'By class',
	weighed: 'Weighed',
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
				? ['table', 'class', 'weighed', 'level']
				: ['level', 'table', 'class', 'weighed'];
