import { described, fileOperation } from '$lib/server/api/operation';
import { isReady } from '$lib/server/services';

export const GET = described(
	fileOperation('Whether the server can do its work: its data is there and can be read', 'text/plain'),
	async (): Promise<Response> => {
		const ready = await isReady();
		return new Response(ready ? 'ready\n' : 'the data cannot be read\n', {
			status: ready ? 200 : 503,
			headers: { 'content-type': 'text/plain', 'cache-control': 'no-store' }
		});
	}
);
