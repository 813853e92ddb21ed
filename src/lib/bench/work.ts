import {
	CORE_LB,
	jobSteps,
	keys,
	MENDS,
	outingSteps,
	outingTools,
	repairSteps,
	repairTools,
	REVERSE_WAY_KEYS,
	REVERSE_WAYS,
	reverseSteps,
	reverseTools,
	stretchAndWalk,
	swapSteps,
	swapTools,
	toolsOf,
	untwistSteps,
	untwistTools,
	type JobSetup,
	type Mend,
	type ReverseWay,
	type UntwistTechnique,
	type OffPart,
	type OnSource,
	type Step,
	type SwapPlan,
	type Tool,
	type UntwistPlan
} from '$lib/core';

/** What is done with a set-up at the bench. */
export type BenchJob =
	| { readonly kind: 'wind' }
	| { readonly kind: 'swap'; readonly off: readonly OffPart[]; readonly on: readonly OnSource[] }
	/** Something comes off and nothing goes on; so many components stay. */
	| { readonly kind: 'off'; readonly keep: number; readonly off: readonly OffPart[] }
	| StandaloneJob;

/** Jobs that are asked for by name, and don't depend on which strands are on the spool. */
type StandaloneJob =
	| { readonly kind: 'untwist'; readonly part: string; readonly laneMm: number }
	/** From the arbor, the amount found by filling it back to front. */
	| { readonly kind: 'reverse'; readonly way: ReverseWay }
	| { readonly kind: 'repair'; readonly mend: Mend }
	/** Before the first cast of a day. */
	| { readonly kind: 'outing' };

/** The job that was asked for, before anyone looks at the strands on the spool. */
export type AskedJob =
	{ readonly kind: 'wind' | 'swap' } | { readonly kind: 'off'; readonly keep: number } | StandaloneJob;

/** It doesn't depend on which strands are on the spool. */
export const isStandalone = (job: AskedJob): job is StandaloneJob =>
	job.kind === 'untwist' || job.kind === 'reverse' || job.kind === 'repair' || job.kind === 'outing';

/** A job as it stands in an address, and as its run is kept. */
export function jobText(job: AskedJob | BenchJob): string {
	switch (job.kind) {
		case 'off':
			return `off.${job.keep}`;
		case 'untwist':
			return `untwist.${job.part}.${Math.round(job.laneMm)}`;
		case 'reverse':
			return `reverse.${job.way}`;
		case 'repair':
			return `repair.${job.mend}`;
		default:
			return job.kind;
	}
}

const TITLES = {
	swap: 'Swap one line for another',
	off: 'Take a line off and keep it',
	untwist: 'Take the twist out',
	outing: 'Before the first cast'
} as const;

/** What a job is called; undefined for winding a spool as usual. */
export function jobTitle(job: BenchJob): string | undefined {
	switch (job.kind) {
		case 'wind':
			return undefined;
		case 'reverse':
			return REVERSE_WAYS[job.way].title;
		case 'repair':
			return MENDS[job.mend].title;
		default:
			return TITLES[job.kind];
	}
}

/** Undefined for what is no job. */
export function readJob(text: string | null): AskedJob | undefined {
	if (text === 'wind' || text === 'swap' || text === 'outing') return { kind: text };
	const way = REVERSE_WAY_KEYS.find((key) => text === `reverse.${key}`);
	if (way) return { kind: 'reverse', way };
	const mend = keys(MENDS).find((key) => text === `repair.${key}`);
	if (mend) return { kind: 'repair', mend };
	const off = /^off\.(\d{1,2})$/.exec(text ?? '');
	if (off) return { kind: 'off', keep: Number(off[1]) };
	const untwist = /^untwist\.(.{1,40})\.(\d{1,7})$/.exec(text ?? '');
	return untwist ? { kind: 'untwist', part: untwist[1]!, laneMm: Number(untwist[2]) } : undefined;
}

/** What a job at the bench consists of. */
export interface Work {
	readonly steps: readonly Step[];
	readonly tools: readonly Tool[];
	/** The part that is wound to a depth, where this job winds it. */
	readonly stopPart?: string;
	/** Ends with a record of what was wound; otherwise with what was done. */
	readonly winds: boolean;
}

/** How a part is stretched and walked in a lane. */
export function stretchOf(job: JobSetup, partId: string, laneMm: number): UntwistTechnique | undefined {
	const part = job.parts.find(({ id }) => id === partId);
	if (!part) return undefined;
	const backing = job.parts.find(({ role }) => role === 'backing')?.strengthLb ?? CORE_LB;
	return stretchAndWalk({
		lengthMm: part.lengthMm,
		laneMm,
		has: [],
		weakestLb: Math.min(backing, CORE_LB),
		turns: 0
	});
}

function untwistPlan(job: JobSetup, partId: string, laneMm: number): UntwistPlan | undefined {
	const at = job.parts.findIndex(({ id }) => id === partId);
	const part = job.parts[at];
	const way = stretchOf(job, partId, laneMm);
	return part && way && { part, under: job.parts[at - 1], way };
}

const swapPlan = (job: JobSetup, off: readonly OffPart[], on: readonly OnSource[]): SwapPlan => {
	const first = job.parts.findIndex(({ id }) => id === on[0]?.part);
	const over = first > 0 ? job.parts[first - 1] : job.parts[job.parts.length - off.length - 1];
	return { off, on, over: over?.role };
};

const NOTHING: Work = { steps: [], tools: [], winds: false };
const windWork = (job: JobSetup): Work => ({
	steps: jobSteps(job),
	tools: toolsOf(job),
	...(job.stopPart !== undefined && { stopPart: job.stopPart }),
	winds: true
});

/**
 * The steps and tools of a job with a set-up.
 *
 * @param first what a reverse fill puts on first; without it there is nothing to turn round, and it is wound as usual
 */
export function workOf(job: JobSetup, bench: BenchJob, first?: JobSetup): Work {
	switch (bench.kind) {
		case 'reverse':
			return first
				? {
						...windWork(job),
						steps: reverseSteps(job, { way: bench.way, first }),
						tools: reverseTools(job, bench.way)
					}
				: windWork(job);
		case 'repair':
			return { steps: repairSteps(job, bench.mend), tools: repairTools(job, bench.mend), winds: false };
		case 'outing':
			return { steps: outingSteps(job), tools: outingTools(job), winds: false };
		case 'untwist': {
			const plan = untwistPlan(job, bench.part, bench.laneMm);
			if (!plan) return NOTHING;
			return { steps: untwistSteps(job, plan), tools: untwistTools(job, plan), winds: false };
		}
		case 'off':
		case 'swap': {
			const plan = swapPlan(job, bench.off, bench.kind === 'swap' ? bench.on : []);
			return {
				steps: swapSteps(job, plan),
				tools: swapTools(job, plan),
				winds: bench.kind === 'swap'
			};
		}
		case 'wind':
			return windWork(job);
	}
}
