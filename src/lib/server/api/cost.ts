import type { z } from 'zod';
import type { ComponentInput, FitRequest, SpoolInput } from './fit';
import type { InMm } from './wire';

/**
 * The work that answers take, from what is asked alone. The figures are of one core of the machine that they were measured on; a
 * server learns how fast its own is (see `work/aside.ts`).
 */

/** ms for one of each, on an ordinary spool with a backing and a line told by its class. */
export const COST_MS = {
	/** A set-up worked out once with one input moved. */
	wound: 0.8,
	trial: 0.015,
	/** A world in which every method is played. */
	world: 5.5,
	sample: 0.015,
	/** A spool with a line. */
	pair: 0.06
} as const;

/** Points of a profile that double the work of a spool, and sections that double that of a line. */
const DOUBLED_BY_POINTS = 22;
const DOUBLED_BY_SECTIONS = 40;

export const profileShare = ({ profile }: Pick<InMm<z.output<typeof SpoolInput>>, 'profile'>): number =>
	1 + (profile?.length ?? 0) / DOUBLED_BY_POINTS;

export const sectionShare = ({ sections }: Pick<InMm<z.output<typeof ComponentInput>>, 'sections'>): number =>
	1 + (sections?.length ?? 0) / DOUBLED_BY_SECTIONS;

type Asked = InMm<z.output<typeof FitRequest>>;

/** How much work a set-up is, against an ordinary one. */
export const bulkOf = ({ spool, stack }: Asked): number =>
	(profileShare(spool) * stack.reduce((sum, part) => sum + sectionShare(part), 0)) / 2;

/** A set-up worked out with its ranges: once for each input that has a spread, of which each part has its own. */
export const fitCostMs = (asked: Asked): number => COST_MS.wound * bulkOf(asked) * asked.stack.length;
