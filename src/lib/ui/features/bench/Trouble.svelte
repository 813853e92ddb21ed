<script lang="ts">
	import { ROLE_NAMES, type Remedy } from '$lib/core';
	import type { Part } from '$lib/setup/read-strands';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { BenchState } from './bench-state.svelte';
	import { sentence } from '$lib/wording/phrase';

	/** Something is wrong: what it looks like, what to do, and the step to go back to. */
	interface Props {
		bench: BenchState;
		/** What is known to be wrong already. */
		first: string | undefined;
		parts: readonly Part[];
		onback: () => void;
	}
	let { bench, first, parts, onback }: Props = $props();
	const preferences = usePreferences();
	// What is chosen from then on is the person's.
	// svelte-ignore state_referenced_locally
	let chosen = $state(first);
	const remedy = $derived(bench.remedies.find(({ key }) => key === chosen));

	const titleOf = (id: string): string => bench.steps.find((step) => step.id === id)?.title ?? '';
	function comesOff({ off }: Remedy): string {
		const wound = off.filter((id) => (bench.run.state.turns.get(id) ?? 0) !== 0);
		const names = parts.filter(({ id }) => wound.includes(id)).map(({ role }) => ROLE_NAMES[role]);
		return names.length > 0 ? ` Wendle then starts counting the ${names.join(' and the ')} again.` : '';
	}
</script>

<section aria-label="Something is wrong" class="mt-4 max-w-3xl border-2 border-warn p-4" data-trouble>
	<h3 class="figure text-[20px] font-bold">What do you see?</h3>
	<div class="mt-2 grid gap-2">
		{#each bench.remedies as { key, sign } (key)}
			<label class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-hair text-[19px]">
				<input
					type="radio"
					name="remedy"
					value={key}
					bind:group={chosen}
					class="size-5 shrink-0 accent-current"
				/>
				{sign}
			</label>
		{/each}
	</div>
	{#if remedy}
		<ol class="mt-4 max-w-[60ch] list-decimal space-y-2 pl-6 text-[21px]">
			{#each remedy.doing as doing, i (i)}<li>{sentence(doing, preferences.units)}</li>{/each}
		</ol>
		<p class="mt-3 max-w-[60ch] text-[17px]">
			Then go on from <b>{titleOf(remedy.back)}</b>.{comesOff(remedy)}
		</p>
		<button
			type="button"
			class="mt-3 action min-h-14 px-6 text-[18px]"
			onclick={() => {
				bench.putRight(remedy);
				onback();
			}}>Go on from there</button
		>
	{/if}
</section>
