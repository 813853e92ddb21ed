import { described, fileOperation } from '$lib/server/api/operation';
import { eventStream, notFound } from '$lib/server/http';
import { followRun, runEvents } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = described(
	fileOperation(
		'Follow a run: server-sent events, each the events that arrived; Last-Event-ID goes on where it was',
		'text/event-stream'
	),
	async ({ params, request, url }: RequestEvent) => {
		const { id } = params;
		let sent = Number(request.headers.get('last-event-id') ?? url.searchParams.get('after') ?? 0) || 0;
		if (!(await runEvents(id, sent))) return notFound('run');
		return eventStream((send) => {
			let sending = Promise.resolve();
			const pass = (): void => {
				sending = sending.then(async () => {
					const news = await runEvents(id, sent);
					if (!news || news.events.length === 0) return;
					sent = news.arrival;
					send(news.arrival, news);
				});
				// One reader's trouble is not the server's end; the reader asks again from where it was.
				sending = sending.catch((error: unknown) => console.error('following a run failed:', error));
			};
			const stop = followRun(id, pass);
			pass();
			return stop;
		});
	}
);
