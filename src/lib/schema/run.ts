import { STEP_KEYS } from '$lib/core';
import { z } from 'zod';

/** Most events of one request: a counter's few minutes. */
export const MAX_EVENTS = 500;

const id = z.string().regex(/^[\w-]{1,64}$/);
const common = { id, at: z.number().int().min(0).max(8.64e15) };
const part = z.string().min(1).max(40);

/** An event of a run, as it is kept and sent. */
export const RunEventShape = z
	.discriminatedUnion('kind', [
		z.strictObject({ ...common, kind: z.literal('step'), step: z.enum(STEP_KEYS), done: z.boolean() }),
		z.strictObject({
			...common,
			kind: z.literal('turns'),
			part,
			turns: z.number().min(-100_000).max(100_000)
		}),
		z.strictObject({
			...common,
			kind: z.literal('counter'),
			part,
			session: z.string().min(1).max(64),
			seq: z.number().int().min(0),
			total: z.number().min(-1e6).max(1e6)
		}),
		z.strictObject({ ...common, kind: z.literal('depth'), part, depthMm: z.number().min(-20).max(200) }),
		z.strictObject({ ...common, kind: z.literal('remark'), text: z.string().max(2000) }),
		z.strictObject({ ...common, kind: z.literal('undo'), of: id })
	])
	.meta({ id: 'RunEvent' });

export const StartRun = z.strictObject({ setupId: z.string().min(1).max(64) });
export const AddEvents = z.strictObject({ events: z.array(RunEventShape).min(1).max(MAX_EVENTS) });

/** Events that arrived after a number, and the number they reach. */
export const RunEvents = z
	.object({ events: z.array(RunEventShape), arrival: z.number().int() })
	.meta({ id: 'RunEvents' });
export type RunEvents = z.infer<typeof RunEvents>;
