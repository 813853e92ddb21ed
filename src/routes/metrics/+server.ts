import { described, fileOperation } from '$lib/server/api/operation';
import { figures } from '$lib/server/metrics';

export const GET = described(
	fileOperation("Figures of the running server, in Prometheus' text format", 'text/plain'),
	async (): Promise<Response> => {
		const { text, type } = await figures();
		return new Response(text, { headers: { 'content-type': type, 'cache-control': 'no-store' } });
	}
);
