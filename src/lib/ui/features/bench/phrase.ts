import type { Phrase } from '$lib/core';
import { showLong, showSmall, showTurns, type UnitSystem } from '$lib/schema/units';

/** A piece of an instruction in the person's units. */
export function phraseText(phrase: Phrase, units: UnitSystem): string {
	if (typeof phrase === 'string') return phrase;
	if ('longMm' in phrase) return showLong(phrase.longMm, units);
	if ('smallMm' in phrase) return showSmall(phrase.smallMm, units);
	return showTurns(phrase.turns);
}

export const sentence = (phrases: readonly Phrase[], units: UnitSystem): string =>
	phrases.map((phrase) => phraseText(phrase, units)).join('');
