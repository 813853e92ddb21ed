<script lang="ts">
	import type { Tool } from '$lib/core';
	import Check from '@lucide/svelte/icons/check';
	import { usePreferences } from '../../state/preferences.svelte';
	import { sentence } from '$lib/wording/phrase';

	/** Everything this job takes: ticked when it is there, with what can stand in for it. */
	interface Props {
		tools: readonly Tool[];
		here: ReadonlySet<string>;
		ontick: (tool: string, here: boolean) => void;
	}
	let { tools, here, ontick }: Props = $props();
	const preferences = usePreferences();
	const missing = $derived(tools.filter(({ key }) => !here.has(key)).length);
</script>

<ul class="mt-5 max-w-3xl border-t-2 border-ink" aria-label="Tools and materials">
	{#each tools as { key, name, purpose, standIn } (key)}
		{@const there = here.has(key)}
		<li class="border-b border-hair">
			<label class="flex min-h-14 cursor-pointer items-center gap-4 py-1.5">
				<input
					type="checkbox"
					class="peer sr-only"
					checked={there}
					onchange={(event) => ontick(key, event.currentTarget.checked)}
				/>
				<span
					class="grid size-7 shrink-0 place-items-center border-2 border-ink peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 {there
						? 'bg-ink text-paper'
						: ''}"
				>
					{#if there}<Check size={20} strokeWidth={3} />{/if}
				</span>
				<span class="flex-1 leading-tight">
					<span class="text-[21px] {there ? 'text-soft' : ''}">{sentence(name, preferences.units)}</span>
					<span class="block text-[15px] text-soft"
						>{purpose}{standIn && !there ? `. Instead: ${standIn}` : ''}</span
					>
				</span>
			</label>
		</li>
	{/each}
</ul>
<p class="figure mt-2 text-[16px] text-soft" role="status">
	{missing === 0 ? 'Everything is there.' : `${missing} not there yet.`}
</p>
