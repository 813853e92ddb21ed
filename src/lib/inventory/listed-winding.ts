import { SetupForm } from '$lib/setup/form';
import { z } from 'zod';
import { ForeseenGap, WindingForm, type Winding } from './winding';

/** A winding as the API tells it. */
export const ListedWinding = z.object({
	id: z.string(),
	setupId: z.string(),
	spoolId: z.string(),
	woundOn: z.string().meta({ description: 'A day, such as 2026-11-25.' }),
	typed: WindingForm.meta({ description: 'What was typed when it was saved.' }),
	turns: z.number().nullable(),
	depthMm: z.number().nullable(),
	gapMm: z.number().nullable(),
	backingMm: z.number(),
	backingMeasured: z.boolean(),
	foreseen: ForeseenGap.optional(),
	form: SetupForm.meta({ description: 'The set-up as it was then.' })
});

export const listedWinding = (winding: Winding): z.input<typeof ListedWinding> => ({
	id: winding.id,
	setupId: winding.setupId,
	spoolId: winding.spoolId,
	woundOn: winding.woundOn.toString(),
	typed: winding.typed,
	turns: winding.turns,
	depthMm: winding.depthMm,
	gapMm: winding.gapMm,
	backingMm: winding.backingMm,
	backingMeasured: winding.backingMeasured,
	...(winding.foreseen && { foreseen: winding.foreseen }),
	form: winding.form
});
