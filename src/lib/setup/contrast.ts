import { differenceCiede2000, modeLab65, modeRgb, parse, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeLab65);

export interface Contrast {
	/** CIEDE2000 colour difference. */
	readonly deltaE: number;
	/** Whether a joint between the two is seen coming. */
	readonly seen: 'clear' | 'fair' | 'poor';
}

/** From so much on, two strands are told apart on moving water, and in good light. Assumptions. */
const CLEAR = 30;
const FAIR = 15;

const difference = differenceCiede2000();

/**
 * How well a joint between strands of two colours (#rrggbb) shows: the CIEDE2000 difference, G. Sharma, W.
 * Wu & E. N. Dalal, Color Research & Application 30, 2005. Undefined when one is no colour.
 */
export function contrastOf(one: string, other: string): Contrast | undefined {
	const [a, b] = [parse(one), parse(other)];
	if (!a || !b) return undefined;
	const deltaE = difference(a, b);
	return { deltaE, seen: deltaE >= CLEAR ? 'clear' : deltaE >= FAIR ? 'fair' : 'poor' };
}
