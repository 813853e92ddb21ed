import { described, questionOperation } from './api/operation';
import type { QuestionName } from './api/question-names';
import { questionAt } from './api/questions';
import { body } from './api/wire';
import { failures } from './log';
import { eventStream, parseBody, readText, refuse } from './http';
import { heavyWork } from './metrics';
import { answerOf, type Worked } from './work/answer';
import { hereMs, workAside } from './work/aside';
import { counted, mayAsk, MOST_MS } from './work/share';

/** What is asked with a request; without a client where none is known, as in tests. */
interface Event {
	readonly request: Request;
	readonly getClientAddress?: () => string;
	readonly platform?: Readonly<App.Platform> | undefined;
}

/** What takes less than this is answered at once, ms: to hand it to a thread would take as long. */
const AT_ONCE_MS = 8;
/** An answer goes out in pieces of this size, so that none of it waits in memory for a slow reader, bytes. */
const PIECE_BYTES = 64 * 1024;

const TYPE = { 'content-type': 'application/json' };

/** The bytes of an answer, as fast as they are read. */
function inPieces(bytes: Uint8Array<ArrayBuffer>): ReadableStream<Uint8Array> {
	let sent = 0;
	return new ReadableStream({
		pull(controller) {
			controller.enqueue(bytes.subarray(sent, (sent += PIECE_BYTES)));
			if (sent >= bytes.byteLength) controller.close();
		}
	});
}

const seconds = (ms: number): string => `${Math.ceil(ms / 1000)} s`;

const tooMuch = (costMs: number): Response =>
	refuse(
		422,
		'too_much',
		`This would take about ${seconds(costMs)} of work, and one question may take ${seconds(MOST_MS)}. Ask for fewer trials, or describe the spool and the parts in fewer points and sections.`
	);

function comeBack(afterS: number): Response {
	const message = `You have asked for as much work as one device may in a minute. Ask again in ${afterS} s.`;
	const response = refuse(429, 'too_many', message);
	response.headers.set('retry-after', String(afterS));
	return response;
}

/** Why a client is not answered: it is too much for anybody, or for this one now. */
async function refusalFor(client: string, costMs: number): Promise<Response | undefined> {
	if (costMs > MOST_MS) return tooMuch(costMs);
	const afterS = await mayAsk(client, costMs);
	return afterS === undefined ? undefined : comeBack(afterS);
}

const wantsEvents = (request: Request): boolean =>
	/\btext\/event-stream\b/.test(request.headers.get('accept') ?? '');

/** How far the work is, as it goes, and then the answer. */
const asEvents = (
	run: (signal: AbortSignal, onProgress: (share: number) => void) => Promise<Worked>
): Response =>
	eventStream((send, end) => {
		const off = new AbortController();
		run(off.signal, (share) => send('progress', { share }))
			.then(({ status, bytes }) => {
				const answer = JSON.parse(new TextDecoder().decode(bytes)) as unknown;
				send(status === 200 ? 'answer' : 'refused', answer);
			})
			.catch((error: unknown) => {
				if (off.signal.aborted) return;
				failures.error({ err: error }, 'a thread failed');
				send('failed', { message: FAILED });
			})
			.finally(end);
		return () => off.abort();
	});

const FAILED = 'Something went wrong in Wendle while it worked on this. Try again.';
/** Nobody is there to read it: the client went away. */
const GONE = 499;

/** Called off when the client goes. The request's own signal only knows of its body, which has come by then. */
async function whole(
	platform: Readonly<App.Platform> | undefined,
	run: (signal: AbortSignal) => Promise<Worked>
): Promise<Response> {
	const socket = platform?.req.socket;
	const left = new AbortController();
	const off = (): void => left.abort();
	socket?.once('close', off);
	try {
		const { status, bytes } = await run(left.signal);
		return new Response(inPieces(bytes), { status, headers: TYPE });
	} catch (error) {
		if (left.signal.aborted) return new Response(null, { status: GONE });
		throw error;
	} finally {
		socket?.off('close', off);
	}
}

/**
 * A route that answers a question from the core: 200, or a refusal that says why. What takes longer than a moment is worked
 * out in a thread, as far as the client's share goes, and called off when the client leaves; asked for as a stream of events, it
 * says how far it is.
 */
export const answering = (name: QuestionName) => {
	const question = questionAt(name);
	const shape = body(question.request);
	return described(questionOperation(question), async (event: Event): Promise<Response> => {
		const { request, platform } = event;
		const text = await readText(request);
		if (!text.ok) return text.response;
		const read = parseBody(text.value, shape);
		if (!read.ok) return read.response;
		const costMs = question.costMs(read.value);
		const client = event.getClientAddress?.();
		const refusal = client === undefined ? undefined : await refusalFor(client, hereMs(costMs));
		if (refusal) return refusal;
		if (client === undefined || hereMs(costMs) < AT_ONCE_MS) {
			const { status, json } = answerOf(name, read.value);
			return new Response(json, { status, headers: TYPE });
		}
		const asked = { name, text: text.value };
		const run = (signal: AbortSignal, onProgress: (share: number) => void = () => undefined) =>
			counted(client, async () => {
				const went = await workAside(asked, costMs, signal, onProgress).catch((error: unknown) => {
					heavyWork.inc({ result: signal.aborted ? 'called off' : 'failed' });
					throw error;
				});
				heavyWork.inc({ result: 'done' });
				return went;
			});
		return wantsEvents(request) ? asEvents(run) : whole(platform, run);
	});
};
