import { Piscina } from 'piscina';
import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { workOut, type Asked, type Worked } from './answer';

/** Work beside the event loop: threads that answer what takes longer than a moment. */

/** Where the built code of a thread may be, from where this module lands in the built server. */
const CODE = ['../../tools/work.js', '../../../tools/work.js']
	.map((path) => fileURLToPath(new URL(path, import.meta.url)))
	// There is none while developing: the work is done in the event loop then.
	.find((path) => existsSync(path));

/** What takes longer than this waits in a queue of its own, so that a short question never stands behind it, ms. */
const LONG_MS = 1000;
/** A thread that has had nothing to do for this long ends, ms. */
const IDLE_MS = 60_000;
/** Memory of one thread, MB: the largest answer that is allowed takes a tenth of it. */
const MOST_MB = 512;
/** Threads are less urgent than the event loop, where the system knows such a thing. */
const NICE = 10;

type Pool = Piscina<Asked & { port: MessagePort }, Worked>;
const pools = new Map<'short' | 'long', Pool>();

function poolOf(length: 'short' | 'long'): Pool {
	const open = pools.get(length);
	if (open) return open;
	const pool: Pool = new Piscina({
		filename: CODE!,
		minThreads: 0,
		maxThreads: length === 'short' ? 1 : Math.max(1, availableParallelism() - 1),
		idleTimeout: IDLE_MS,
		niceIncrement: NICE,
		resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
		recordTiming: false
	});
	pools.set(length, pool);
	return pool;
}

/** How much longer work takes here than on the machine that the costs were measured on; follows what was seen. */
let slowness = 1;
const FOLLOWS = 0.2;
const [LEAST_SLOWNESS, MOST_SLOWNESS] = [0.2, 10];

export const hereMs = (costMs: number): number => costMs * slowness;

function learnSpeed(costMs: number, tookMs: number): void {
	const seen = Math.min(Math.max(tookMs / costMs, LEAST_SLOWNESS), MOST_SLOWNESS);
	slowness += FOLLOWS * (seen - slowness);
}

/**
 * Answers a question in a thread. Threads are ended in the middle of their work when `signal` says so.
 *
 * @throws AbortError when it was called off
 */
export async function workAside(
	asked: Asked,
	costMs: number,
	signal: AbortSignal,
	onProgress: (share: number) => void
): Promise<Worked> {
	if (!CODE) return workOut(asked, onProgress);
	const { port1, port2 } = new MessageChannel();
	port1.on('message', onProgress);
	try {
		const pool = poolOf(hereMs(costMs) > LONG_MS ? 'long' : 'short');
		const worked = await pool.run({ ...asked, port: port2 }, { signal, transferList: [port2] });
		learnSpeed(costMs, worked.tookMs);
		return worked;
	} finally {
		port1.close();
	}
}

/** Ends the threads. */
export async function endThreads(): Promise<void> {
	await Promise.all([...pools.values()].map((pool) => pool.destroy()));
	pools.clear();
}
