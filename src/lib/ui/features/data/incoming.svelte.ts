import type { ArchiveMode, ArchivePreview } from '$lib/inventory/archive';
import { PART_BYTES } from '$lib/inventory/archive-parts';
import { v4 as uuid } from 'uuid';
import { archivePreview, broughtIn } from '../../state/answers';
import { ofPlace, send, troubleOf } from '../../state/api';

const AWAY = "The server doesn't answer. Nothing was brought in: try again in a moment.";

/** An archive that is being sent, looked at, and brought in. */
export class Incoming {
	/** How much of it is sent, 0–1; undefined while nothing is. */
	sent = $state<number>();
	preview = $state.raw<ArchivePreview>();
	trouble = $state<string>();
	#id = '';
	#stop = new AbortController();

	/** Sends a file in parts and asks what bringing it in would do. */
	async take(file: File): Promise<void> {
		this.cancel();
		const [id, { signal }] = [(this.#id = uuid()), this.#stop];
		const parts = Math.max(1, Math.ceil(file.size / PART_BYTES));
		this.sent = 0;
		for (let part = 0; part < parts; part++) {
			const body = file.slice(part * PART_BYTES, (part + 1) * PART_BYTES);
			const trouble = await sendPart(`/api/archive/incoming/${id}/${part}`, body, signal);
			if (signal.aborted) return;
			if (trouble !== undefined) return this.#fail(trouble);
			this.sent = (part + 1) / parts;
		}
		const reply = await send('GET', `/api/archive/incoming/${id}`, undefined, { answer: archivePreview });
		if (signal.aborted) return;
		if (reply.kind !== 'ok') return this.#fail(troubleOf(reply, 'Nothing was brought in') ?? AWAY);
		this.sent = undefined;
		this.preview = reply.value;
	}

	#fail(trouble: string): void {
		this.sent = undefined;
		this.trouble = trouble;
	}

	/** Brings it in; the id under which that is undone, or undefined where it was not. */
	async bringIn(mode: ArchiveMode): Promise<string | undefined> {
		const reply = await send('POST', `/api/archive/incoming/${this.#id}`, { mode }, { answer: broughtIn });
		if (reply.kind === 'ok') {
			this.cancel();
			return reply.value.id;
		}
		this.trouble = troubleOf(reply, 'Nothing was brought in');
		return undefined;
	}

	/** Leaves it: nothing was written. */
	cancel(): void {
		this.#stop.abort();
		this.#stop = new AbortController();
		this.sent = undefined;
		this.preview = undefined;
		this.trouble = undefined;
	}
}

async function sendPart(path: string, body: Blob, signal: AbortSignal): Promise<string | undefined> {
	try {
		const response = await fetch(path, {
			method: 'PUT',
			headers: { 'content-type': 'application/octet-stream', ...ofPlace() },
			body,
			signal
		});
		if (response.ok) return undefined;
		const { issues, message } = (await response.json()) as {
			issues?: { message: string }[];
			message?: string;
		};
		return issues?.[0]?.message ?? message ?? AWAY;
	} catch {
		return AWAY;
	}
}
