import { transferableSymbol, valueSymbol } from 'piscina';
import type { MessagePort } from 'node:worker_threads';
import { questionAt } from '../api/questions';
import { body } from '../api/wire';
import { answerOf } from './answer';
import type { Asked, Worked } from './aside';

/** Told no more often than this, ms. */
const TOLD_EVERY_MS = 200;

/** What a thread of the pool does: answers one question, and says now and then how far it is. */
export default function work({ name, text, port }: Asked & { port?: MessagePort }): Worked {
	const started = performance.now();
	let told = started;
	const onProgress = (share: number): void => {
		const now = performance.now();
		if (now - told < TOLD_EVERY_MS) return;
		told = now;
		port?.postMessage(share);
	};
	const { status, json } = answerOf(name, body(questionAt(name).request).parse(JSON.parse(text)), onProgress);
	port?.close();
	const bytes = new TextEncoder().encode(json);
	const worked: Worked = { status, bytes, tookMs: performance.now() - started };
	// The bytes are handed over, not copied.
	return Object.assign(worked, { [transferableSymbol]: [bytes.buffer], [valueSymbol]: worked });
}
