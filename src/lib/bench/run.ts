import { COUNTED_BY, REMEDY_KEYS, STEP_KINDS, TAKEN_AS } from '$lib/core';
import { z } from 'zod';
import { Day } from '$lib/inventory/day';
import { readJob } from './work';

/** Most events of one request: a counter's few minutes. */
export const MAX_EVENTS = 500;

const id = z.string().regex(/^[\w-]{1,64}$/);
/** The last moment of the year 9999: later ones are not written in four digits. */
const LATEST = 253_402_300_799_999;
const common = { id, at: z.number().int().min(0).max(LATEST) };
/** A strand's id in its set-up, or the longer one that it has while a reverse fill puts it on first. */
const MOST_PART = 46;
const part = z.string().min(1).max(MOST_PART);
/** A kind of step, with its part where there is one: `wind:backing`. */
const step = z.string().regex(new RegExp(`^(${STEP_KINDS.join('|')})(:.{1,${MOST_PART}})?$`));
const seconds = z.number().min(0);

const event = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
	z.strictObject({ ...common, kind: z.literal(kind), ...shape });

/** An event of a run, as it is kept and sent. */
export const RunEventShape = z
	.discriminatedUnion('kind', [
		event('step', { step, done: z.boolean(), plannedSeconds: seconds.max(1e6).optional() }),
		event('tool', { tool: z.string().min(1).max(60), here: z.boolean() }),
		event('turns', {
			part,
			turns: z.number().min(-100_000).max(100_000),
			by: z.enum(COUNTED_BY).optional(),
			sigmaTurns: z.number().positive().max(100_000).optional()
		}),
		event('counter', {
			part,
			session: z.string().min(1).max(64),
			seq: z.number().int().min(0),
			total: z.number().min(-1e6).max(1e6),
			base: z.boolean().optional()
		}),
		event('depth', { part, depthMm: z.number().min(-20).max(200), finished: z.boolean().optional() }),
		event('lost-count', { part }),
		event('taken-as', { of: id, as: z.enum(TAKEN_AS) }),
		event('remedy', {
			remedy: z.enum(REMEDY_KEYS),
			step,
			back: step,
			reopens: z.array(step).max(60).readonly(),
			off: z.array(part).max(12).readonly()
		}),
		event('remark', { text: z.string().max(2000), step: step.optional() }),
		event('photo', { photo: id, step }),
		event('coil', { part, label: z.string().min(1).max(80) }),
		event('loop-test', { bightMm: z.number().min(200).max(20_000), spins: z.number().min(-50).max(50) }),
		event('tug', { result: z.enum(['passed', 'doubtful', 'failed']) }),
		event('undo', { of: id })
	])
	.meta({ id: 'RunEvent' });

/** What is done in a run: `wind` from the arbor, `swap`, `off.2`, `untwist.line.40000`, `reverse.twin`, `outing`; see `work.ts`. */
const JobText = z
	.string()
	.max(64)
	.refine((text) => readJob(text) !== undefined, { error: 'Give a job, such as wind, swap or outing.' });
export const StartRun = z.strictObject({ setupId: z.string().min(1).max(64), job: JobText.default('wind') });
/** The job is over: what it came to is written down on this day, or it is left as if it had not been. */
export const EndRun = z.strictObject({ day: Day, leave: z.boolean().default(false) });
export const AddEvents = z.strictObject({ events: z.array(RunEventShape).min(1).max(MAX_EVENTS) });
/** The newest arrival, and whether the job has ended: what comes later is kept with it. */
export const AddedEvents = z.object({ arrival: z.number().int(), ended: z.boolean() });
/** What was written down then: events of Care. */
export const Ended = z.object({ written: z.array(z.object({ keptId: z.string(), id: z.string() })) });
export type Ended = z.infer<typeof Ended>;

/** Events that arrived after a number, and the number they reach. */
export const RunEvents = z
	.object({ events: z.array(RunEventShape), arrival: z.number().int() })
	.meta({ id: 'RunEvents' });
export type RunEvents = z.infer<typeof RunEvents>;
