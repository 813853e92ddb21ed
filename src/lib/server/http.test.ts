import { describe, expect, it } from 'vitest';
import { eventStream } from './http';

describe('a stream of events', () => {
	it('tells what it is told, and nothing to a reader that has left', async () => {
		let send: (id: number, data: unknown) => void = () => undefined;
		let closed = 0;
		const reader = eventStream((tell) => {
			send = tell;
			return () => closed++;
		}).body!.getReader();
		await reader.read();
		send(7, { turns: 10 });
		expect(new TextDecoder().decode((await reader.read()).value)).toBe('id: 7\ndata: {"turns":10}\n\n');
		await reader.cancel();
		expect(closed).toBe(1);
		// Something was still being fetched when the reader left: it must not bring the server down.
		expect(() => send(8, { turns: 20 })).not.toThrow();
	});
});
