import type { State } from './world';

/** How many times wider a prior becomes when somebody says that a strand or the spool is not what was thought. Assumption. */
export const OTHER_TIMES = 4;

/** Whether a deviation belongs to the strand that is wound to the gap, or to the spool. */
export const ofStrand =
	(stop: number) =>
	(label: State['labels'][number]): boolean =>
		'component' in label ? label.component === stop : label.key === 'lay';
export const ofSpool = (label: State['labels'][number]): boolean =>
	!('component' in label) && label.key !== 'lay' && label.key !== 'reading';
