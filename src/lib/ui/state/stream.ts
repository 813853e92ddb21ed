/** How soon a server that refused is asked again, ms. */
const AGAIN_MS = 800;

interface Listener {
	readonly hear: (data: string) => void;
	readonly opened?: () => void;
	readonly lost?: () => void;
}

/**
 * Server-sent events for as long as they are wanted. A browser tries again by itself after a cut line, but gives
 * up for good on a refusal: then it is asked anew. Returns how to stop.
 *
 * @param address asked each time, so that it can say from where to go on
 */
export function listen(address: () => string | URL, { hear, opened, lost }: Listener): () => void {
	let source: EventSource;
	let again: ReturnType<typeof setTimeout> | undefined;
	const open = (): void => {
		source = new EventSource(address());
		source.onmessage = (message: MessageEvent<string>) => hear(message.data);
		source.onopen = () => opened?.();
		source.onerror = () => {
			lost?.();
			if (source.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_MS);
		};
	};
	open();
	return () => {
		clearTimeout(again);
		source.close();
	};
}
