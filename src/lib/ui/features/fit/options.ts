import {
	BACKING_MATERIALS,
	DENSITIES,
	TAPERS,
	WINDING_HANDS,
	type Density,
	type Taper,
	type WindingHand
} from '$lib/core';

const entries = <K extends string, V>(record: Record<K, V>): [K, V][] => Object.entries(record) as [K, V][];
export const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

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
