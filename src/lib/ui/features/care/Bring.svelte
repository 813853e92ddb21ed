<script lang="ts">
	import type { Day } from '$lib/core';
	import { v4 as uuid } from 'uuid';
	import Field from '../../primitives/Field.svelte';
	import NumberField from '../../primitives/NumberField.svelte';
	import Select from '../../primitives/Select.svelte';
	import { send, troubleOf } from '../../state/api';
	import { usePreferences } from '../../state/preferences.svelte';
	import { componentOf, newStrand, strandLabel } from '../fit/strand-text';
	import StrandFields from '../fit/StrandFields.svelte';
	import type { TellWritten } from '../../state/writing';

	/** A line that lies on a coil and was never wound here: from now on it is looked after, and can go on a spool. */
	interface Props {
		today: Day;
		open: boolean;
		/** It is there: the page looks again, says so, and offers to undo it. */
		told: TellWritten;
	}
	let { today, open, told }: Props = $props();
	const preferences = usePreferences();
	// svelte-ignore state_referenced_locally
	let shown = $state(open);
	let text = $state.raw(newStrand('line'));
	let used = $state(true);
	let days = $state(0);
	let water = $state<'fresh' | 'salt'>('fresh');
	let came = $state<string>();
	let label = $state('');
	let trouble = $state<string>();
	let busy = $state(false);
	/** One id for the same thing: sent again after a lost answer it is there once, and changed it is another. */
	let sent = { text: '', id: '' };
	const usualLabel = $derived(used ? 'a coil' : "its maker's spool");

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		const { role, made, length, note } = componentOf(text, preferences.units);
		const thing = {
			component: { role, made, length, note },
			came: came ?? today.toString(),
			label: label.trim() || usualLabel,
			...(used && { used: { days, water } })
		};
		const written = JSON.stringify(thing);
		if (sent.text !== written) sent = { text: written, id: uuid() };
		const { id } = sent;
		const reply = await send('POST', '/api/care/things', { id, ...thing, at: Date.now() });
		busy = false;
		trouble = troubleOf(reply, 'What you wrote stays here');
		if (reply.kind !== 'ok') return;
		sent = { text: '', id: '' };
		const name = strandLabel(text);
		[text, days, label, came] = [{ ...text, called: '' }, 0, '', undefined];
		await told([{ keptId: id, event: { id: `${id}:came` } }], `${name}: added. Care now shows it.`);
	}
</script>

<details class="no-print mt-5" data-bring bind:open={shown}>
	<summary class="min-h-9 cursor-pointer py-1 text-[16px] underline">Add a line you have on a coil</summary>
	{#if shown}
		<form
			class="mt-2 grid max-w-2xl gap-x-5 gap-y-3 border-l-[3px] border-line pl-4 sm:grid-cols-[9rem_1fr]"
			aria-label="A line you have"
			onsubmit={(event) => void add(event)}
		>
			<StrandFields label="What it is" value={text} onchange={(changed) => (text = changed)} />
			<Select
				label="Used or new"
				options={[
					{ value: 'used', label: 'used' },
					{ value: 'new', label: 'new' }
				]}
				value={used ? 'used' : 'new'}
				onchange={(value) => (used = value === 'used')}
			/>
			<Field
				label="Written on its coil or spool"
				value={label}
				maxlength={80}
				placeholder={usualLabel}
				oninput={(value) => (label = value)}
			/>
			<Field
				label="Yours since"
				type="date"
				max={today.toString()}
				value={came ?? today.toString()}
				oninput={(value) => (came = value || undefined)}
			/>
			{#if used}
				<div class="grid max-w-64 grid-cols-2 gap-5">
					<NumberField
						label="Days out so far"
						value={days}
						min={0}
						max={1000}
						onchange={(value) => (days = value ?? 0)}
					/>
					<Select
						label="Mostly in"
						options={[
							{ value: 'fresh', label: 'fresh water' },
							{ value: 'salt', label: 'salt water' }
						]}
						value={water}
						onchange={(value) => (water = value)}
					/>
				</div>
			{/if}
			<p class="text-[15px] text-soft sm:col-span-2">
				{used
					? 'Until you do a loop test, Wendle guesses its twist from its days out.'
					: 'Wendle counts it as free of twist until you wind it.'} If the line is on a reel, add it with its spool:
				<a class="text-ink underline" href="/fit/new">describe both in Fit</a>, then save what is on it.
			</p>
			{#if trouble}<p role="alert" class="text-[15px] text-warn sm:col-span-2">{trouble}</p>{/if}
			<button type="submit" class="action min-h-10 justify-self-start" disabled={busy}>Add it</button>
		</form>
	{/if}
</details>
