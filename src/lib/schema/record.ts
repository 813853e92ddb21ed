import { z } from 'zod';
import { RecordForm, SetupForm } from './setup';

/** A finished winding: the set-up it followed, what was measured, and what is therefore on the spool. */
export const WindRecord = z.object({
	id: z.string(),
	setupId: z.string(),
	spoolId: z.string(),
	woundOn: z.iso.date(),
	/** As typed. */
	typed: RecordForm,
	turns: z.number().nullable(),
	depthMm: z.number().nullable(),
	gapMm: z.number().nullable(),
	/** The set-up at that moment: later changes to the plan do not change what was wound. */
	form: SetupForm,
	/** Length of backing that is on: measured where turns and depth were read, else planned. */
	backingMm: z.number(),
	backingMeasured: z.boolean()
});
export type WindRecord = z.infer<typeof WindRecord>;
