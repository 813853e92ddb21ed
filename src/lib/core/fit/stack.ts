import { totalVolumeMm3, type LineSection } from '../line/sections';
import { packingFraction } from '../packing/packing';

/** What a component is for. The stack runs from the arbor outward. */
export const ROLES = ['bed', 'backing', 'running-line', 'line', 'head', 'tip', 'leader'] as const;
export type Role = (typeof ROLES)[number];

/** How a part is called in a sentence. */
export const ROLE_NAMES: Record<Role, string> = {
	bed: 'bed',
	backing: 'backing',
	'running-line': 'running line',
	line: 'line',
	head: 'head',
	tip: 'tip',
	leader: 'leader'
};

interface Wound {
	readonly role: Role;
	/** η: how densely it lies, against perfect square lay. */
	readonly layEfficiency: number;
	/** How far this component's own inputs may be off, 1σ as shares, where that is known better than for any. */
	readonly spreads?: ComponentSpreads;
}

export interface ComponentSpreads {
	readonly diameterShare?: number;
	readonly bulkShare?: number;
	readonly layShare?: number;
}

/** A component of known length, rear end first. */
export interface KnownComponent extends Wound {
	readonly sections: readonly LineSection[];
}

/** The one component whose length is looked for: level, of this diameter. */
export interface UnknownComponent extends Wound {
	readonly diameterMm: number;
}

export type Component = KnownComponent | UnknownComponent;
export type Stack = readonly Component[];

export const isKnown = (component: Component): component is KnownComponent => 'sections' in component;

/** Space a component takes on a spool, wherever it lies: its volume over its packing, mm³; 0 while its length is open. */
export const spaceMm3 = (component: Component): number =>
	isKnown(component) ? totalVolumeMm3(component.sections) / packingFraction(component.layEfficiency) : 0;

/** The place of the strand that is wound to the gap: the open one, else the outermost backing; −1 when there is neither. */
export function stopOf(stack: Stack): number {
	const open = stack.findIndex((component) => !isKnown(component));
	return open >= 0 ? open : stack.findLastIndex(({ role }) => role === 'backing');
}
