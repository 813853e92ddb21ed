import { z } from 'zod';

/** What bringing an archive in would do to one kind of thing. */
export const ArchiveChange = z.object({
	file: z.string().meta({ description: 'The file of the archive, without .jsonl.' }),
	fresh: z.number().int().meta({ description: 'Only in the archive.' }),
	newer: z.number().int().meta({ description: 'In both, and of a later version in the archive.' }),
	conflicting: z.number().int().meta({ description: 'In both, and different otherwise.' }),
	same: z.number().int(),
	names: z
		.array(z.string())
		.meta({ description: 'Of spools that differ, the names as they are here; ten at most.' })
});
export type ArchiveChange = z.infer<typeof ArchiveChange>;

export const ArchivePreview = z.object({
	madeAt: z.string().meta({ description: 'When the archive was made.' }),
	changes: z.array(ArchiveChange),
	photos: z.object({ fresh: z.number().int(), same: z.number().int() })
});
export type ArchivePreview = z.infer<typeof ArchivePreview>;

export const ARCHIVE_MODES = ['add', 'replace'] as const;
export type ArchiveMode = (typeof ARCHIVE_MODES)[number];
export const BringIn = z.strictObject({
	mode: z.enum(ARCHIVE_MODES).meta({
		description: '"add" takes what is new and what is newer; "replace" takes what conflicts, too.'
	})
});

/** An archive that was brought in. */
export const BroughtIn = z.object({ id: z.string(), rows: z.number().int(), photos: z.number().int() });
