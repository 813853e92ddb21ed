<script lang="ts">
	/** The spool as it is seen from the handle's side, turned by what is counted. It stands still where somebody wants less motion. */
	let { turns, hand }: { turns: number; hand: 'left' | 'right' } = $props();
	const ARMS = [0, 60, 120, 180, 240, 300];
	/** Wound forward over the top: clockwise from the right of the reel, the other way from its left. */
	const degrees = $derived((hand === 'right' ? 360 : -360) * turns);
</script>

<svg viewBox="-50 -50 100 100" class="size-20 shrink-0" aria-hidden="true" data-turning={turns}>
	<circle r="47" fill="none" stroke="var(--soft)" stroke-width="1.5" />
	<g
		style="transform: rotate({degrees}deg)"
		class="transition-transform duration-700 ease-out motion-reduce:transition-none"
	>
		<circle r="41" fill="none" stroke="var(--ink)" stroke-width="3" />
		<circle r="15" fill="none" stroke="var(--ink)" stroke-width="3" />
		{#each ARMS as arm (arm)}
			<path d="M15 0H41" stroke="var(--ink)" stroke-width="2" transform="rotate({arm})" />
		{/each}
		<circle cy="-28" r="7" fill="var(--now)" stroke="var(--ink)" stroke-width="2.5" />
	</g>
</svg>
