import type { Day } from '$lib/core';
import { toJson } from '$lib/inventory/json';
import { v4 as uuid } from 'uuid';
import { send, troubleOf, type Reply } from './api';
import { notify } from './notices.svelte';
import { tellChange } from './undo.svelte';
import { refresh } from './refresh';

/** Something to be written down of a strand; without a day it happened today. */
export interface Writing {
	readonly keptId: string;
	readonly event: Readonly<Record<string, unknown>>;
}
/** Writes events down, says so, and offers to undo them. True when they were taken. */
export type Write = (events: readonly Writing[], said: string) => Promise<boolean>;
/** What was written down is said, and can be undone. */
export type TellWritten = (written: readonly Written[], said: string) => Promise<void>;

/** An event that was written down, or is on its way. */
interface Written {
	readonly keptId: string;
	readonly event: { readonly id: string };
}

const sendEvents = (events: readonly Written[]): Promise<Reply<undefined>> =>
	send('POST', '/api/care', { events });

/** Events as they are sent: with an id each, so that sent again they are the same events, not more of them. */
const stamped = (events: readonly Writing[], today: Day): readonly Written[] =>
	events.map(({ keptId, event }, i) => ({
		keptId,
		event: { id: uuid(), day: today, at: Date.now() + i, ...event }
	}));

export const teller =
	(today: () => Day): TellWritten =>
	async (written, said) => {
		await refresh('wendle:care');
		// That an event was undone is an event too, which is undone in its turn.
		let latest = written;
		let asked: readonly Written[] | undefined;
		const takeBack = async (): Promise<Reply<undefined>> => {
			asked ??= stamped(
				latest.map(({ keptId, event }) => ({ keptId, event: { kind: 'undone', of: event.id } })),
				today()
			);
			const reply = await sendEvents(asked);
			if (reply.kind === 'ok') latest = asked;
			if (reply.kind !== 'unreachable') asked = undefined;
			return reply;
		};
		await tellChange({
			said,
			undo: takeBack,
			redo: takeBack,
			stays: 'It is still written down',
			refresh: () => refresh('wendle:care')
		});
	};

/** Events that were sent and not answered, by what they say: asked for again they are the same events, not more of them. */
const unanswered = new Map<string, readonly Written[]>();

export const writer =
	(today: () => Day): Write =>
	async (events, said) => {
		const what = toJson([today(), events]);
		const written = unanswered.get(what) ?? stamped(events, today());
		unanswered.set(what, written);
		const reply = await sendEvents(written);
		if (reply.kind !== 'unreachable') unanswered.delete(what);
		const trouble = troubleOf(reply, 'Nothing was saved');
		if (trouble !== undefined) {
			await notify(trouble);
			return false;
		}
		await teller(today)(written, said);
		return true;
	};
