<script lang="ts">
	import { atDay } from './lane';
	import type { TimeView } from './view.svelte';

	/** The months or years that all lanes share. */
	let { view, today }: { view: TimeView; today: number } = $props();
	const ROOM_PX = 92;
	const ticks = $derived(view.x.ticks(Math.max(2, view.width / ROOM_PX)));
	const format = $derived(view.x.tickFormat());
	const now = $derived(view.x(atDay(today)));
</script>

<svg class="block w-full overflow-visible" height="22" aria-hidden="true">
	{#if view.ready}
		{#each ticks as tick (tick.getTime())}
			{@const at = view.x(tick)}
			<line x1={at} x2={at} y1="16" y2="22" stroke="var(--soft)" />
			<text x={at} y="12" class="figure" font-size="12.5" fill="var(--soft)">{format(tick)}</text>
		{/each}
		{#if now >= 0 && now <= view.width}
			<path d="M{now - 4} 15h8l-4 7z" fill="var(--ink)" />
		{/if}
	{/if}
</svg>
