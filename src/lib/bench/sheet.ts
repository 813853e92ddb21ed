import { CAUTIONS, ROLE_NAMES, TECHNIQUES, type JobSetup } from '$lib/core';
import { knotsOf } from './job';
import type { Work } from './work';
import { sentence, showDuration } from '$lib/wording/phrase';
import type { SetupForm } from '$lib/setup/form';
import { showLeader, showLong, showOnRule, showSmall, showTurns, type UnitSystem } from '$lib/wording/units';

/** A job on one page: what goes on, how, and blanks for how it turned out. In words, for print and PDF alike. */
export interface Sheet {
	readonly title: string;
	readonly facts: readonly (readonly [label: string, value: string])[];
	/** What is wound, from the arbor outward: name, length, turns, where it then stands. */
	readonly rows: readonly (readonly [part: string, length: string, turns: string, depth: string])[];
	readonly steps: readonly { readonly title: string; readonly right: string }[];
	readonly tools: readonly string[];
	readonly cautions: readonly string[];
	/** What is written in by hand. */
	readonly blanks: readonly string[];
}

/**
 * @param work what is done: its steps and tools
 * @param seconds how long it is expected to take
 * @param doing what it is called, where it is no plain winding
 */
export function sheetOf(
	form: SetupForm,
	job: JobSetup,
	units: UnitSystem,
	{ steps, tools }: Pick<Work, 'steps' | 'tools'>,
	seconds: number,
	doing?: string
): Sheet {
	const { plan, schools, parts, stopPart } = job;
	const show = (key: 'mount' | 'tension' | 'tag'): string =>
		TECHNIQUES[key].ways[schools[key] as never]['label'] as string;
	return {
		title: form.spool.name || 'Unnamed spool',
		facts: [
			...(doing === undefined ? [] : [['Job', doing] as const]),
			['Wind with', `${job.hand} hand, ${job.cage} cage`],
			[
				'Stop at',
				stopPart === undefined ? 'no backing' : `${showOnRule(plan.stopDepthMm, units)} below the rim`
			],
			['Gap to leave', showOnRule(plan.gapMm, units)],
			['Reel sits on', show('mount').toLowerCase()],
			['Tension by', show('tension').toLowerCase()],
			['Tags', show('tag').toLowerCase()],
			['Knots', knotsOf(job).join('; ')],
			['Leader', showLeader(job.leaderMm, units)],
			['Takes', `about ${showDuration(seconds)}`]
		],
		rows: parts.map(({ role, label, lengthMm, turns, depthMm, id }) => [
			label.toLowerCase() === ROLE_NAMES[role] ? label : `${ROLE_NAMES[role]}: ${label}`,
			`${id === stopPart ? 'about ' : ''}${showLong(lengthMm, units)}`,
			showTurns(turns),
			showSmall(depthMm, units)
		]),
		steps: steps.map(({ title, right }) => ({ title, right: sentence(right, units) })),
		tools: tools.map(({ name }) => sentence(name, units)),
		cautions: [...new Set(steps.flatMap(({ cautions }) => cautions))].map((caution) => CAUTIONS[caution]),
		blanks: ['Turns of backing', 'Depth of the backing', 'Gap', 'Wound by', 'Date']
	};
}
