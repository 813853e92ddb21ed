<script lang="ts">
	import Field from '../../../primitives/Field.svelte';
	import Segmented from '../../../primitives/Segmented.svelte';
	import type { CounterLink } from '../../../state/counter-link.svelte';
	import { useHandsBusy } from '../../../state/hands-busy.svelte';

	/** A counter that sends its turns: connecting it. */
	let { link, geared }: { link: CounterLink; geared: boolean } = $props();
	const hands = useHandsBusy();
	let url = $state(hands.get('counterUrl'));

	function connect(): void {
		hands.set('counterUrl', url.trim());
		hands.set('counterOn', true);
		link.connect(url.trim());
	}
	/** Linked anew, so that what it counted in the other way stays what it was. */
	function countsOf(what: 'handle' | 'spool'): void {
		hands.set('counterCounts', what);
		if (link.state === 'off') return;
		link.disconnect();
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
{#if geared}
	<div class="mt-3 max-w-md">
		<Segmented
			label="It counts turns of"
			options={[
				{ value: 'handle', label: 'the handle' },
				{ value: 'spool', label: 'the spool' }
			]}
			value={hands.get('counterCounts')}
			onchange={countsOf}
			shown
		/>
	</div>
{/if}
