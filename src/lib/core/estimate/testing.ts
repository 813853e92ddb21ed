import type { Component, KnownComponent } from '../fit/stack';
import { taperOf } from '../line/class';
import { STRAIGHT } from '../testing';
import type { SpoolSource } from '../calibrate/source';
import type { Problem } from '../uncertainty/inputs';

/** A 6-weight over 20 lb backing, as the tests of readings have it. */
export const LINE: KnownComponent = {
	role: 'line',
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
};
export const BACKING: Component = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 };

export const problemOn = (
	source: SpoolSource = STRAIGHT,
	stack: readonly Component[] = [BACKING, LINE]
): Problem => ({ source, stack, gapMm: 4 });
