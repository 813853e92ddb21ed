import { z } from 'zod';

/** The backups of everything, as they are told. */
export const Backups = z.object({
	backups: z.array(
		z.object({
			name: z.string().meta({ description: 'The name of its file.' }),
			madeAt: z.iso.datetime().meta({ description: 'When it was made.' }),
			bytes: z.number().int()
		})
	)
});
export type Backups = z.infer<typeof Backups>;
