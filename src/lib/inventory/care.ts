import { STRAND_KINDS, type CareEvent, type CareJob, type CareRule } from '$lib/core';
import { z } from 'zod';
import { Day as day } from './day';
import { ComponentForm } from '$lib/setup/form';

const turns = z.strictObject({ mean: z.number().min(-5000).max(5000), sd: z.number().min(0).max(5000) });
const gap = z.number().min(-50).max(200);

const Coil = z.string().trim().min(1).max(80);
const Whereabouts = z.discriminatedUnion('on', [
	z.strictObject({ on: z.literal('spool'), spoolId: z.string().min(1).max(64) }),
	z.strictObject({ on: z.literal('coil'), label: Coil }),
	z.strictObject({ on: z.literal('retired') })
]);

/** The events that people write down, under ids of this length. */
function eventShapes(longestId: number) {
	const id = z.string().min(8).max(longestId);
	const head = { id, day, at: z.number().int().min(0), note: z.string().max(500).optional() };
	return [
		z.strictObject({
			...head,
			kind: z.literal('moved'),
			to: Whereabouts,
			turns: turns.optional(),
			plannedGapMm: gap.optional(),
			gapMm: gap.optional()
		}),
		z.strictObject({ ...head, kind: z.literal('wetted'), times: z.number().int().min(1).max(1000) }),
		z.strictObject({
			...head,
			kind: z.enum(['came', 'cleaned', 'dressed', 'rinsed', 'turned', 'loop-rebuilt'])
		}),
		z.strictObject({
			...head,
			kind: z.literal('loop-test'),
			bightMm: z.number().min(200).max(20_000),
			spins: z.number().min(-50).max(50)
		}),
		z.strictObject({
			...head,
			kind: z.literal('tug-test'),
			result: z.enum(['passed', 'doubtful', 'failed'])
		}),
		z.strictObject({
			...head,
			kind: z.literal('let-out'),
			share: z.number().min(0).max(1),
			shareSd: z.number().min(0).max(1)
		}),
		z.strictObject({ ...head, kind: z.literal('shortened'), byMm: z.number().min(1).max(200_000) }),
		z.strictObject({ ...head, kind: z.literal('respooled'), turns: turns.optional() }),
		z.strictObject({
			...head,
			kind: z.literal('fished'),
			days: z.number().int().min(1).max(366),
			water: z.enum(['fresh', 'salt'])
		}),
		z.strictObject({ ...head, kind: z.literal('undone'), of: id })
	] as const;
}

const LONGEST_ID = 64;
/** What the server adds to an id of an event that goes with another. */
export const UNDER = ':under';

/** What can be written down of a line, a head, a tip or a backing. */
export const CareEventBody = z.discriminatedUnion('kind', eventShapes(LONGEST_ID)).meta({ id: 'CareEvent' });

/** An event as it is kept: what was sent, and what the server writes of the backing under it. */
const LONGEST_KEPT_ID = LONGEST_ID + UNDER.length;
export const StoredCareEvent = z.discriminatedUnion('kind', [
	...eventShapes(LONGEST_KEPT_ID),
	z.strictObject({
		id: z.string().min(8).max(LONGEST_KEPT_ID),
		day,
		at: z.number().int().min(0),
		kind: z.literal('line-changed')
	})
]);

/** What is stored reads back as the core knows it; an optional that is not there stays away. */
export const asCareEvent = (body: z.output<typeof CareEventBody>): CareEvent =>
	withoutGaps(body) as CareEvent;
const withoutGaps = (body: object): object =>
	Object.fromEntries(Object.entries(body).filter(([, held]) => held !== undefined));

/** Events for one thing or several: the same day out for all of a spool, say. Sent again under their ids they count once. */
export const AddCareEvents = z
	.strictObject({
		events: z
			.array(z.strictObject({ keptId: z.string().min(1).max(160), event: CareEventBody }))
			.min(1)
			.max(100)
	})
	.meta({ id: 'AddCareEvents' });

/** A line, head, tip or running line that is on a coil and was never wound here. Sent again under its id it is there once. */
export const BringThing = z
	.strictObject({
		id: z.uuid(),
		component: ComponentForm.pick({ made: true, length: true, note: true }).extend({
			role: ComponentForm.shape.role.extract(['line', 'running-line', 'head', 'tip'])
		}),
		came: day.meta({ description: 'Since when it is there.' }),
		label: Coil.meta({ description: 'What is written on its coil or spool.' }),
		used: z
			.strictObject({ days: z.number().int().min(0).max(1000), water: z.enum(['fresh', 'salt']) })
			.optional()
			.meta({ description: 'Days out so far. Left out: new, and still as its maker wound it.' }),
		at: z.number().int().min(0)
	})
	.meta({ id: 'BringThing' });
export type BringThing = z.infer<typeof BringThing>;

/** What a brought strand is, said otherwise, over the version that was seen. */
export const DescribeThing = z
	.strictObject({
		component: ComponentForm.pick({ made: true, length: true, note: true }),
		version: z.number().int().min(1)
	})
	.meta({ id: 'DescribeThing' });
export type DescribeThing = z.infer<typeof DescribeThing>;

const JOBS = ['clean', 'respool', 'judge', 'tug-test', 'rinse'] as const satisfies readonly CareJob[];
const Rule = z
	.strictObject({
		job: z.enum(JOBS),
		kinds: z.array(z.enum(STRAND_KINDS)).min(1),
		everyDays: z.number().int().min(1).max(10_000).optional(),
		everyDaysOut: z.number().min(1).max(1000).optional(),
		saltCounts: z.number().min(0).max(100).optional(),
		freshCounts: z.number().min(0).max(100).optional(),
		fromTwistPerMetre: z.number().min(0.1).max(50).optional(),
		paceCounts: z.number().min(1).max(5).optional(),
		atLineChange: z.boolean().optional(),
		everyWettings: z.number().int().min(1).max(1000).optional()
	})
	.refine(
		({ everyDays, everyDaysOut, fromTwistPerMetre, atLineChange, everyWettings }) =>
			[everyDays, everyDaysOut, fromTwistPerMetre, everyWettings].some((given) => given !== undefined) ||
			atLineChange === true,
		{ error: 'Say after how many days, how many days out, or from how much twist on it is due.' }
	);
export const CareRules = z.strictObject({ rules: z.array(Rule).max(40) }).meta({ id: 'CareRules' });
/** Rules written over the version that was seen, where one is said. */
export const SaveRules = CareRules.extend({ version: z.number().int().min(0).optional() }).meta({
	id: 'SaveCareRules'
});
export const asRules = ({ rules }: z.output<typeof CareRules>): CareRule[] =>
	JSON.parse(JSON.stringify(rules)) as CareRule[];

/** Everything that was written of a strand, newest first: whether it counts, and the set-up whose winding says it, if one does. */
export const CareHistory = z.object({
	events: z.array(z.object({ event: StoredCareEvent, counts: z.boolean(), setupId: z.string().optional() }))
});
/** Rules as another window left them. */
export const CurrentRules = CareRules.extend({ version: z.number().int() });
