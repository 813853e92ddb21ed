import { formatLineClass, usualBackingMm, type Alternative, type RightLength, type Share } from '$lib/core';
import { showLong, showSmall, type UnitSystem } from '$lib/wording/units';
import type { Workout } from '$lib/setup/evaluate-form';

function remedyWords(remedy: Alternative, units: UnitSystem): string {
	switch (remedy.kind) {
		case 'thinner-backing':
			return `${remedy.material.label.toLowerCase()} would take ${showLong(remedy.lengthMm, units)}`;
		case 'smaller-gap':
			return `a gap of ${showSmall(remedy.gapMm, units)} would take ${showLong(remedy.lengthMm, units)}`;
		case 'no-backing':
			return `with no backing at all the gap comes to ${showSmall(remedy.gapMm, units)}`;
		case 'shorter-line':
			return remedy.role === 'running-line'
				? `cut ${showLong(remedy.cutMm, units)} off the running line`
				: `cut ${showLong(remedy.cutMm, units)} off its rear`;
		case 'wider-spool':
			return `a spool of these diameters, ${showSmall(remedy.widthMm, units)} wide`;
		case 'lighter-line':
			return `a ${formatLineClass(remedy.line)} fits over ${showLong(remedy.lengthMm, units)} of backing`;
	}
}

const either = (remedies: readonly Alternative[], units: UnitSystem): string => {
	const words = remedies.map((remedy) => remedyWords(remedy, units));
	return words.length > 1 ? `${words.slice(0, -1).join(', ')}, or ${words.at(-1)!}` : words.join('');
};

/** A gap off by less than this is the gap that was wanted, mm: no rule shows it. */
const SAME_GAP_MM = 0.3;
/** What is left over is worth keeping from here: it goes under the line of a small reel. Common practice. */
const WORTH_KEEPING_MM = usualBackingMm(4);

/** Of backing whose length was given: the gap it leaves, how much to leave off or what is missing, and what to do with the rest. */
function givenWords({ fit, problem, stopIndex }: Workout, given: RightLength, units: UnitSystem): string {
	const own = showLong(fit.layers[stopIndex]!.lengthMm, units);
	const wanted = showSmall(problem.gapMm, units);
	if (Math.abs(fit.gapMm - problem.gapMm) < SAME_GAP_MM) return `${own} of backing leaves the gap you want.`;
	const leaves =
		fit.gapMm < 0
			? `With ${own} of backing the line is ${showSmall(-fit.gapMm, units)} too high, and it rubs.`
			: `${own} of backing leaves a gap of ${showSmall(fit.gapMm, units)}, and you want ${wanted}.`;
	if (given.leftMm < 0) return `${leaves} Another ${showLong(-given.leftMm, units)} would leave it.`;
	if (given.lengthMm <= 0) return `${leaves} With no backing at all, the gap is ${wanted} under this line.`;
	const rest = given.leftMm >= WORTH_KEEPING_MM ? ' Keep the rest: it is enough for a small reel.' : '';
	return `${leaves} Leave ${showLong(given.leftMm, units)} off: wind ${showLong(given.lengthMm, units)}, and stop ${showSmall(given.stopDepthMm, units)} below the rim.${rest}`;
}

/** One sentence or two that a practitioner would say of this fit. */
export function judgement(workout: Workout, units: UnitSystem): string {
	const { verdict, fit, given } = workout;
	if (given && (verdict.kind === 'fits' || given.lengthMm > 0)) return givenWords(workout, given, units);
	if (verdict.kind === 'too-big') {
		const whole = workout.parts.at(-1)?.role === 'line';
		const by = whole
			? `Too much line for this spool, by about ${showLong(Math.max(verdict.excess.lengthMm, 1000), units)}.`
			: `Too much for this spool: it is ${showSmall(verdict.excess.gapMm, units)} above the gap you want.`;
		return `${by} What would work: ${either(verdict.remedies, units)}.`;
	}
	const wind = fit.solved
		? `Fits. Wind until the backing is ${showSmall(fit.solved.stopDepthMm, units)} below the rim.`
		: `Fits, with ${showSmall(fit.gapMm, units)} to spare.`;
	const under = workout.headed ? 'with heads on a running line' : `under a #${workout.line.number}`;
	const usual = `about ${showLong(verdict.usualMm, units)} is usual ${under}`;
	const backing = {
		short: `That is less backing than usual: ${usual}.${verdict.remedies.length > 0 ? ` To make more room: ${either(verdict.remedies, units)}.` : ''}`,
		usual: `That is the usual amount of backing ${under}.`,
		plenty: `That is plenty of backing: ${usual}, so you can leave a wider gap.`
	}[verdict.backing];
	const rub = verdict.mayRub ? ' It may rub: leave a little more gap, or measure again.' : '';
	return `${wind} ${backing}${rub}`;
}

const MEASURES: Partial<Record<Share['key'], string>> = {
	rim: 'across the rims',
	arbor: 'across the arbor',
	width: 'the width between the flanges',
	frame: 'inside the frame',
	diameter: 'the backing, with wraps on a rule',
	bulk: 'the fly line',
	'arbor-shape': 'the rim and the width',
	'width-shape': 'the rim and the width'
};

/** Which measurement would narrow the length most, as advice; undefined when none stands out. */
export function measureNext(workout: Workout): string | undefined {
	const worth = workout.estimate.lengthShares.find(
		({ key }) => MEASURES[key] !== undefined && key !== 'bulk'
	);
	return worth && worth.share > 0.2
		? `To narrow the length, measure ${MEASURES[worth.key]!} more closely first.`
		: undefined;
}
