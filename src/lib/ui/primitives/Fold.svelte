<script lang="ts">
	import type { Snippet } from 'svelte';

	/** What is rarely changed: folded away, with what it is set to in its summary. */
	interface Props {
		label: string;
		/** What it is set to, in a few words. */
		set: string;
		open?: boolean;
		/** Something inside is wrong, so it stays open. */
		wrong?: boolean;
		children: Snippet;
	}
	let { label, set, open = $bindable(false), wrong = false, children }: Props = $props();
</script>

<details bind:open={() => open || wrong, (now) => (open = now)} class="group border-t border-hair pt-1.5">
	<summary class="cursor-pointer list-none text-[14px]">
		<span class="figure font-semibold"
			><span class="mr-1.5 inline-block transition-transform group-open:rotate-90" aria-hidden="true">›</span
			>{label}</span
		>
		<span class="text-soft group-open:hidden">{set}</span>
	</summary>
	<div class="space-y-2.5 pt-2 pb-1">{@render children()}</div>
</details>
