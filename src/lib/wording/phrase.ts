import type { Phrase, Sentence, Step } from '$lib/core';
import { showLeader, showLong, showOnRule, showToCut, showTurns, type UnitSystem } from './units';

/** A piece of an instruction in the person's units. */
export function phraseText(phrase: Phrase, units: UnitSystem): string {
	if (typeof phrase === 'string') return phrase;
	if ('longMm' in phrase) return showLong(phrase.longMm, units);
	if ('toCutMm' in phrase) return showToCut(phrase.toCutMm, units);
	if ('leaderMm' in phrase) return showLeader(phrase.leaderMm, units);
	if ('smallMm' in phrase) return showOnRule(phrase.smallMm, units);
	return showTurns(phrase.turns);
}

export const sentence = (phrases: Sentence, units: UnitSystem): string =>
	phrases.map((phrase) => phraseText(phrase, units)).join('');

/** A step as it is read aloud: what to do, and how to tell that it is right. */
export const spoken = (step: Step, units: UnitSystem): string =>
	[
		step.title,
		...(step.figure
			? [
					`${step.figure.label}: ${phraseText(step.figure.value, units)}, ${sentence(step.figure.beside, units)}`
				]
			: []),
		...step.instructions.map((instruction) => sentence(instruction, units)),
		`It should look like this: ${sentence(step.right, units)}`
	]
		.map((said) => (/[.!?]$/.test(said) ? said : `${said}.`))
		.join(' ');

/** "about 25 min", "1 h 10 min": to five minutes once it is long, since nobody knows it better. */
export function showDuration(seconds: number): string {
	const minutes = seconds / 60;
	const rounded = minutes < 10 ? Math.max(1, Math.round(minutes)) : 5 * Math.round(minutes / 5);
	const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
	return [...(hours > 0 ? [`${hours} h`] : []), ...(rest > 0 ? [`${rest} min`] : [])].join(' ');
}
