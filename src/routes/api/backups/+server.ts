import { Backups } from '$lib/inventory/backup';
import { acting, reading } from '$lib/server/http';
import { backUp, backups } from '$lib/server/services';

export const GET = reading('The backups that are there, the newest first', { answer: Backups }, async () => ({
	backups: await backups()
}));

export const POST = acting('Back everything up', async () => backUp());
