import { invalidate } from '$app/navigation';
import type { Day } from '$lib/core';
import { toJson } from '$lib/inventory/json';
import { v4 as uuid } from 'uuid';
import { send, troubleOf } from './api';
import { notify } from './notices.svelte';

/** Something to be written down of a strand; without a day it happened today. */
export interface Writing {
	readonly keptId: string;
	readonly event: Readonly<Record<string, unknown>>;
}
/** Writes events down, says so, and offers to undo them. True when they were taken. */
export type Write = (events: readonly Writing[], said: string) => Promise<boolean>;
/** What was written down is said, and can be undone. */
export type TellWritten = (
	written: readonly { readonly keptId: string; readonly event: { readonly id: string } }[],
	said: string
) => Promise<void>;

export const teller =
	(today: () => Day): TellWritten =>
	async (written, said) => {
		await invalidate('wendle:care');
		const undo = written.map(({ keptId, event }) => ({
			keptId,
			event: { kind: 'undone', of: event.id }
		}));
		await notify(said, {
			action: { label: 'Undo', onClick: () => void writer(today)(undo, 'Undone.') }
		});
	};

type Stamped = Writing & { readonly event: { readonly id: string } };
/** Events that were sent and not answered, by what they say: asked for again they are the same events, not more of them. */
const unanswered = new Map<string, readonly Stamped[]>();

export const writer =
	(today: () => Day): Write =>
	async (events, said) => {
		const what = toJson([today(), events]);
		const stamped =
			unanswered.get(what) ??
			events.map(({ keptId, event }, i) => ({
				keptId,
				event: { id: uuid(), day: today(), at: Date.now() + i, ...event }
			}));
		unanswered.set(what, stamped);
		const reply = await send('POST', '/api/care', { events: stamped });
		if (reply.kind !== 'unreachable') unanswered.delete(what);
		const trouble = troubleOf(reply, 'Nothing was saved');
		if (trouble !== undefined) {
			await notify(trouble);
			return false;
		}
		await teller(today)(stamped, said);
		return true;
	};
