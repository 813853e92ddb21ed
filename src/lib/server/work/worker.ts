import { transferableSymbol, valueSymbol } from 'piscina';
import type { MessagePort } from 'node:worker_threads';
import { workOut, type Asked, type Worked } from './answer';

/** Told no more often than this, ms. */
const TOLD_EVERY_MS = 200;

/** What a thread of the pool does: answers one question, and says now and then how far it is. */
export default function work({ port, ...asked }: Asked & { port: MessagePort }): Worked {
	let told = performance.now();
	const onProgress = (share: number): void => {
		const now = performance.now();
		if (now - told < TOLD_EVERY_MS) return;
		told = now;
		port.postMessage(share);
	};
	const worked = workOut(asked, onProgress);
	port.close();
	// The bytes are handed over, not copied.
	return Object.assign(worked, { [transferableSymbol]: [worked.bytes.buffer], [valueSymbol]: worked });
}
