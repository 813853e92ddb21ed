<script lang="ts">
	import { type CareEvent, type Strand } from '$lib/core';
	import { careHistory } from '../../state/answers';
	import { send } from '../../state/api';
	import { usePreferences } from '../../state/preferences.svelte';
	import EventForm from './EventForm.svelte';
	import { eventText } from './words';
	import type { Write } from '../../state/writing';

	/** Everything else that can be written down of a thing, and what was: to be put right or undone. */
	interface Props {
		kept: Strand;
		write: Write;
		open: boolean;
		/** Changes when something was written: then what was is asked for again. */
		changed: string;
	}
	let { kept, write, open, changed }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	// svelte-ignore state_referenced_locally
	let shown = $state(open);
	interface LoggedEvent {
		event: CareEvent;
		counts: boolean;
		/** What a winding says is put right by taking the winding back. */
		setupId?: string;
	}
	let history = $state.raw<readonly LoggedEvent[]>();
	let away = $state(false);
	/** What is being put right; none: something new is written. */
	let correcting = $state<CareEvent>();

	async function load(): Promise<void> {
		const path = `/api/care/history?of=${encodeURIComponent(kept.id)}`;
		const reply = await send('GET', path, undefined, { answer: careHistory });
		away = reply.kind !== 'ok';
		if (reply.kind === 'ok') history = reply.value.events as LoggedEvent[];
	}
	$effect(() => {
		if (shown && changed !== '') void load();
	});

	async function submit(event: Readonly<Record<string, unknown>>): Promise<boolean> {
		const wrong = correcting;
		const written = await write(
			[
				...(wrong ? [{ keptId: kept.id, event: { kind: 'undone', of: wrong.id } }] : []),
				{ keptId: kept.id, event }
			],
			`${kept.label}: ${wrong ? 'put right' : 'written down'}.`
		);
		if (written) correcting = undefined;
		return written;
	}
	const said = (event: CareEvent): string => eventText(event, units, preferences.locale);
</script>

<details class="mt-1 text-[15px]" data-other bind:open={shown}>
	<summary class="cursor-pointer text-soft">Save something else, or correct it</summary>
	{#if shown}
		{#key correcting?.id}
			<EventForm {kept} {correcting} {submit} onleave={() => (correcting = undefined)} />
		{/key}
		{#if away}
			<p class="mt-2 text-warn">
				The server is not there.
				<button type="button" class="underline" onclick={() => void load()}>Ask again</button>
			</p>
		{/if}
		<ol class="mt-3" aria-label="What happened to it">
			{#each history ?? [] as { event, counts, setupId } (event.id)}
				<li class="flex items-center gap-3 border-t border-hair py-1" data-counts={counts}>
					<span class="min-w-0 flex-1 {counts ? '' : 'text-soft line-through'}">{said(event)}</span>
					{#if setupId !== undefined}
						<a class="min-h-9 px-2 py-1.5 text-soft underline" href="/bench/{setupId}/past">its winding</a>
					{:else if counts}
						<button
							type="button"
							class="min-h-9 px-2 underline"
							aria-label="Correct: {said(event)}"
							onclick={() => (correcting = event)}>Correct</button
						>
						<button
							type="button"
							class="min-h-9 px-2 underline"
							aria-label="Undo: {said(event)}"
							onclick={() =>
								void write([{ keptId: kept.id, event: { kind: 'undone', of: event.id } }], 'Undone.')}
							>Undo</button
						>
					{:else}
						<span class="text-[13.5px] text-soft">undone</span>
					{/if}
				</li>
			{/each}
		</ol>
	{/if}
</details>
