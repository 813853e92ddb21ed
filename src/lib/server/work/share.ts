import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** How much of this server one client may take. */

/** The most work that one question may be, ms of one core. */
export const MOST_MS = 45_000;
/** The most work that one client may ask for in a minute, ms of one core. */
const A_MINUTE_MS = 60_000;
/** The most questions of one client that are worked on, or wait, at a time. */
const MOST_AT_ONCE = 16;

const budget = new RateLimiterMemory({ points: A_MINUTE_MS, duration: 60 });
const underWay = new Map<string, number>();

/** Seconds until the client may ask again; undefined when it may now, and then it has taken its share. */
export async function mayAsk(client: string, costMs: number): Promise<number | undefined> {
	if ((underWay.get(client) ?? 0) >= MOST_AT_ONCE) return Math.ceil(costMs / 1000) + 1;
	try {
		await budget.consume(client, Math.max(1, Math.ceil(costMs)));
		return undefined;
	} catch (refusal) {
		if (!(refusal instanceof RateLimiterRes)) throw refusal;
		// What was not begun is not counted.
		await budget.reward(client, Math.max(1, Math.ceil(costMs)));
		return Math.max(1, Math.ceil(refusal.msBeforeNext / 1000));
	}
}

/** Counts a question of a client as long as it is under way. */
export async function counted<T>(client: string, work: () => Promise<T>): Promise<T> {
	underWay.set(client, (underWay.get(client) ?? 0) + 1);
	try {
		return await work();
	} finally {
		const left = underWay.get(client)! - 1;
		if (left > 0) underWay.set(client, left);
		else underWay.delete(client);
	}
}
