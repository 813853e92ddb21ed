<script lang="ts">
	import { showTurns } from '$lib/schema/units';
	import Field from '../../../primitives/Field.svelte';
	import type { CounterLink } from '../../../state/counter-link.svelte';
	import { useHandsBusy } from '../../../state/hands-busy.svelte';

	/** A counter that sends its turns: connecting it, and how the link is. */
	let { link }: { link: CounterLink } = $props();
	const hands = useHandsBusy();
	let url = $state(hands.get('counterUrl'));

	const SAYS = {
		off: 'Not linked.',
		connecting: 'Looking for the counter…',
		linked: 'Linked.',
		away: 'The counter is away. What it counts meanwhile comes when it is back.'
	};
	function connect(): void {
		hands.set('counterUrl', url.trim());
		hands.set('counterOn', true);
		link.connect(url.trim());
	}
	function disconnect(): void {
		hands.set('counterOn', false);
		link.disconnect();
	}
</script>

<div class="flex max-w-xl items-end gap-4">
	<div class="flex-1">
		<Field
			label="Address of the counter"
			value={url}
			inputmode="url"
			error={link.trouble}
			oninput={(value) => ([url, link.trouble] = [value, undefined])}
		/>
	</div>
	{#if link.state === 'off'}
		<button type="button" class="action min-h-12" onclick={connect}>Link</button>
	{:else}
		<button type="button" class="action-quiet min-h-12" onclick={disconnect}>Unlink</button>
	{/if}
</div>
<p
	class="figure mt-2 text-[17px] {link.state === 'away' ? 'text-warn' : ''}"
	role="status"
	data-link={link.state}
>
	<span
		aria-hidden="true"
		class="mr-1 inline-block size-3 rounded-full border-2 border-current {link.state === 'linked'
			? 'bg-current'
			: ''}"
	></span>
	{SAYS[link.state]}
	{#if link.state === 'linked' || link.state === 'away'}
		It shows {showTurns(link.total)}.
	{/if}
	{#if link.missed > 0}
		<span data-missed
			>{link.missed} {link.missed === 1 ? 'message' : 'messages'} lost, made good by the next.</span
		>
	{/if}
</p>
