import { invalidate } from '$app/navigation';
import { v4 as uuid } from 'uuid';
import { send, troubleOf } from '../../state/api';
import { notify } from '../../state/notices.svelte';

/** Something to be written down of a thing; without a day it happened today. */
export interface Writing {
	readonly keptId: string;
	readonly event: Readonly<Record<string, unknown>>;
}
/** Writes events down, says so, and offers to take them back. True when they were taken. */
export type Write = (events: readonly Writing[], said: string) => Promise<boolean>;
/** What was written down is said, and can be taken back. */
export type Told = (
	written: readonly { readonly keptId: string; readonly event: { readonly id: string } }[],
	said: string
) => Promise<void>;

export const teller =
	(today: () => string): Told =>
	async (written, said) => {
		await invalidate('wendle:care');
		const takeBack = written.map(({ keptId, event }) => ({
			keptId,
			event: { kind: 'undone', of: event.id }
		}));
		await notify(said, {
			action: { label: 'Undo', onClick: () => void writer(today)(takeBack, 'Taken back.') }
		});
	};

export const writer =
	(today: () => string): Write =>
	async (events, said) => {
		const stamped = events.map(({ keptId, event }, i) => ({
			keptId,
			event: { id: uuid(), day: today(), at: Date.now() + i, ...event }
		}));
		const reply = await send('POST', '/api/care', { events: stamped });
		const trouble = troubleOf(reply, 'Nothing was written down');
		if (trouble !== undefined) {
			await notify(trouble);
			return false;
		}
		await teller(today)(stamped, said);
		return true;
	};
