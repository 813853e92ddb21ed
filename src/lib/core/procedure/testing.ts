import type { JobPart, JobSetup } from './job';
import { USUAL_TECHNIQUES, type Techniques } from './techniques';
import type { Step } from './step';

const part = (id: string, role: JobPart['role'], more: Partial<JobPart> = {}): JobPart => ({
	id,
	role,
	label: role,
	joint: 'loops',
	lengthMm: 27_000,
	turns: 130,
	depthMm: 4,
	sinking: false,
	cuts: false,
	...more
});

/** Stacks that set-ups come in, for tests. */
export const STACKS = {
	floating: [part('backing', 'backing', { strengthLb: 20, label: '20 lb polyester' }), part('line', 'line')],
	sinking: [part('backing', 'backing', { strengthLb: 30 }), part('line', 'line', { sinking: true })],
	'thin braid': [part('backing', 'backing', { cuts: true, strengthLb: 30 }), part('line', 'line')],
	'bed under braid': [
		part('bed', 'bed'),
		part('backing', 'backing', { cuts: true, joint: 'double-uni' }),
		part('line', 'line')
	],
	spey: [
		part('backing', 'backing', { strengthLb: 30 }),
		part('running', 'running-line'),
		part('head', 'head'),
		part('tip', 'tip', { sinking: true })
	],
	'line alone': [part('line', 'line')]
} as const satisfies Record<string, readonly JobPart[]>;
export type StackName = keyof typeof STACKS;

export interface Given {
	readonly hand?: JobSetup['hand'];
	readonly cage?: JobSetup['cage'];
	readonly arborTurns?: number;
	readonly joint?: JobPart['joint'];
	readonly stack?: StackName;
	readonly schools?: Partial<Techniques>;
}

/** A job for tests: what is not given is as usual. The joint is that of the outermost part. */
export function jobFor(given: Given = {}): JobSetup {
	const stack: readonly JobPart[] = STACKS[given.stack ?? 'floating'];
	const parts = stack.map((p, i) =>
		given.joint && i === stack.length - 1 && i > 0 ? { ...p, joint: given.joint } : p
	);
	const backing = parts.find(({ role }) => role === 'backing');
	return {
		hand: given.hand ?? 'left',
		cage: given.cage ?? 'open',
		arborTurns: given.arborTurns ?? 2,
		parts,
		...(backing && { stopPart: backing.id }),
		schools: { ...USUAL_TECHNIQUES, ...given.schools },
		leaderMm: 2743,
		plan: { lengthMm: 148_000, stopDepthMm: 11.4, turns: 949, gapMm: 4, lineTurns: 129 }
	};
}

/** Everything that is said, as one text. */
export const textOf = (steps: Step | readonly Step[]): string => JSON.stringify(steps);
