import type { Reading } from './reading';
import type { State } from './world';

type Label = State['labels'][number];

/** How many times wider a prior becomes when somebody says that a strand or the spool is not what was thought. Assumption. */
export const OTHER_TIMES = 4;

/** Whether a reading was of the strand at a place. */
function isOf(reading: Reading, stop: number, component: number): boolean {
	switch (reading.kind) {
		case 'measure':
			return false;
		case 'gap':
			return component >= stop;
		case 'line-alone':
			return component > stop;
		case 'over-line':
			return component === stop;
		default:
			return component === reading.component;
	}
}

/** Whether a deviation belongs to the strands that were read, with how tightly they were wound. */
export const ofStrands =
	(reading: Reading, stop: number) =>
	(label: Label): boolean =>
		'component' in label ? isOf(reading, stop, label.component!) : label.key === 'lay';

/** Whether a deviation belongs to the spool, or to the strands under those that were read. */
export const ofSpool =
	(reading: Reading, stop: number) =>
	(label: Label): boolean => {
		if (!('component' in label)) return label.key !== 'lay' && label.key !== 'reading';
		const first = 'component' in reading ? reading.component : stop;
		return label.component! < first;
	};
