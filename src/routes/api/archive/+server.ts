import { described, fileOperation } from '$lib/server/api/operation';
import { exportArchive } from '$lib/server/services';

export const GET = described(
	fileOperation('Everything, as one archive: JSON Lines, photos and checksums in a zip', 'application/zip'),
	async (): Promise<Response> =>
		new Response(await exportArchive(), {
			headers: {
				'content-type': 'application/zip',
				'content-disposition': `attachment; filename="wendle-${new Date().toISOString().slice(0, 10)}.zip"`
			}
		})
);
