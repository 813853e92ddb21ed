<script lang="ts">
	import { showTurns } from '$lib/wording/units';
	import type { CounterLink } from '../../../state/counter-link.svelte';

	/** How the link to the counter is, whatever way of counting is in front. */
	let { link }: { link: CounterLink } = $props();

	const SAYS = {
		off: 'Not linked.',
		connecting: 'Looking for the counter…',
		linked: 'Linked.',
		away: "The counter doesn't answer. Turns it counts meanwhile will arrive when it does."
	};
</script>

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
			>{link.missed} {link.missed === 1 ? 'message' : 'messages'} lost, made up for by the next one.</span
		>
	{/if}
</p>
