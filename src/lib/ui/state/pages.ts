import { send, type AnswerShape, type Reply } from './api';

interface Page<T> {
	readonly things: readonly T[];
	readonly next: string | null;
}

/** Everything that the API lists at an address, page after page. */
export async function everything<T>(
	path: string,
	answer: AnswerShape<Page<T>>
): Promise<Reply<readonly T[]>> {
	const things: T[] = [];
	for (let after: string | null = ''; after !== null;) {
		const from: string = after && `&after=${encodeURIComponent(after)}`;
		const reply = await send('GET', `${path}?most=200${from}`, undefined, { answer });
		if (reply.kind !== 'ok') return reply;
		things.push(...reply.value.things);
		after = reply.value.next;
	}
	return { kind: 'ok', value: things };
}
