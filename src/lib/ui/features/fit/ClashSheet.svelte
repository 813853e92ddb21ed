<script lang="ts">
	import { clashText } from '$lib/wording/clash';
	import Sheet from '../../primitives/Sheet.svelte';
	import type { SetupStore } from './store.svelte';

	/** Fields that were changed here and in another window: one of the two is chosen for each. */
	let { store }: { store: SetupStore } = $props();
	const clashes = $derived(store.clashes.map(clashText));
	let theirs = $state<boolean[]>([]);

	function settle(takes: (at: number) => boolean): void {
		const choice = clashes.map((_, i) => takes(i));
		theirs = [];
		void store.settle(choice);
	}
</script>

<Sheet
	open={clashes.length > 0}
	alert
	title="Changed in another window"
	description="Nothing is lost. Where only one window changed something, you have that change. Choose what to keep where both did."
>
	{#each clashes as { name, mine, other }, i (i)}
		<fieldset class="mt-3" data-clash={name}>
			<legend class="text-[15px] font-semibold">{name}</legend>
			{#each [{ theirs: false, label: 'Here', text: mine }, { theirs: true, label: 'In the other window', text: other }] as option (option.label)}
				{#if clashes.length > 1}
					<label class="flex min-h-8 cursor-pointer items-baseline gap-2.5 py-1">
						<input
							type="radio"
							name="clash-{i}"
							class="translate-y-0.5 accent-current"
							checked={(theirs[i] ?? false) === option.theirs}
							onchange={() => (theirs[i] = option.theirs)}
						/>
						<span><span class="text-soft">{option.label}:</span> <b>{option.text}</b></span>
					</label>
				{:else}
					<p><span class="text-soft">{option.label}:</span> <b>{option.text}</b></p>
				{/if}
			{/each}
		</fieldset>
	{/each}
	<div class="mt-4 flex flex-wrap gap-3">
		{#if clashes.length > 1}
			<button type="button" class="action" onclick={() => settle((i) => theirs[i] ?? false)}
				>Save these choices</button
			>
		{:else}
			<button type="button" class="action" onclick={() => settle(() => false)}>Keep this window's</button>
			<button type="button" class="action-quiet" onclick={() => settle(() => true)}
				>Use the other window's</button
			>
		{/if}
	</div>
</Sheet>
