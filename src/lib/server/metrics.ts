import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/** Figures of the running server, in Prometheus' text format. */

const registry = new Registry();
collectDefaultMetrics({ register: registry });

/** Answers by route, method and kind of status. */
const requests = new Histogram({
	name: 'wendle_request_seconds',
	help: 'Time until an answer was ready, by route, method and status.',
	labelNames: ['route', 'method', 'status'],
	buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
	registers: [registry]
});
export const heavyWork = new Counter({
	name: 'wendle_work_total',
	help: 'Questions worked out in threads, by what came of them.',
	labelNames: ['result'],
	registers: [registry]
});
export const openStreams = new Gauge({
	name: 'wendle_streams',
	help: 'Streams of events that are open.',
	registers: [registry]
});

export const countRequest = (route: string, method: string, status: number, seconds: number): void =>
	requests.observe({ route, method, status: `${Math.floor(status / 100)}xx` }, seconds);

export const figures = async (): Promise<{ text: string; type: string }> => ({
	text: await registry.metrics(),
	type: registry.contentType
});
