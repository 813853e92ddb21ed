<script lang="ts">
	import type { RackEntry } from './shown';

	/** While spools are being chosen, one is chosen by a press anywhere on it. */
	interface Props {
		entry: RackEntry;
		/** Spools that are chosen, by id; undefined while nobody is choosing. */
		chosen: ReadonlySet<string> | undefined;
		onchoose: (id: string) => void;
	}
	let { entry, chosen, onchoose }: Props = $props();
	const on = $derived(chosen?.has(entry.id) ?? false);
</script>

{#if chosen}
	<label
		class="absolute -inset-x-1.5 inset-y-0 z-10 cursor-pointer {on
			? 'outline-[3px] -outline-offset-[3px] outline-ink'
			: ''}"
	>
		<span class="sr-only">Choose {entry.name}</span>
		<input
			type="checkbox"
			class="absolute top-1.5 right-1.5 size-6 accent-ink"
			checked={on}
			onchange={() => onchoose(entry.id)}
		/>
	</label>
{/if}
