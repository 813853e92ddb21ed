import { Backups } from '$lib/inventory/backup';
import { reading, writing } from '$lib/server/http';
import { backUp, backups } from '$lib/server/services';
import { z } from 'zod';

export const GET = reading('The backups that are there, the newest first', { answer: Backups }, async () => ({
	backups: await backups()
}));

/** Says what is backed up, so that no empty body starts a copy. */
const Backup = z.strictObject({ of: z.literal('everything') });

export const POST = writing({ summary: 'Back everything up', body: Backup, status: 204 }, async () =>
	backUp()
);
