<script lang="ts">
	import type { CareKind } from '$lib/core';
	import { SIGNS } from '../../charts/timeline/lane';

	/** What the signs of a time line mean. */
	const NAMES: readonly (readonly [CareKind, string])[] = [
		['cleaned', 'cleaned'],
		['dressed', 'dressed'],
		['rinsed', 'rinsed'],
		['loop-test', 'loop test'],
		['tug-test', 'tug test'],
		['let-out', 'twist taken out'],
		['respooled', 'respooled'],
		['shortened', 'shortened'],
		['turned', 'turned end for end'],
		['loop-rebuilt', 'loop rebuilt'],
		['wetted', 'wetted and dried']
	];
</script>

<details class="relative text-[14px]">
	<summary class="cursor-pointer px-2 py-1.5">Signs and keys</summary>
	<div class="absolute right-0 z-20 w-[min(30rem,90vw)] border border-ink bg-paper p-3 max-lg:left-0">
		<ul class="grid grid-cols-2 gap-x-4 gap-y-1">
			{#each NAMES as [kind, name] (kind)}
				<li class="flex items-center gap-2">
					<svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden="true">
						<path d="M0 0{SIGNS[kind]}" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.4" />
					</svg>{name}
				</li>
			{/each}
		</ul>
		<p class="mt-2">
			The top shows where the strand was, dashed while it was on a coil. The grey area is its twist; above the
			dotted line it throws loops. The bars at the bottom are days of fishing. The flags are what is due next.
		</p>
		<p class="mt-2">
			On a row: <kbd>←</kbd> <kbd>→</kbd> from event to event, <kbd>+</kbd> <kbd>−</kbd> zoom in and out,
			<kbd>0</kbd> everything, and with <kbd>Shift</kbd> the arrows move in time. You can also drag or pinch;
			the wheel with <kbd>Ctrl</kbd>.
		</p>
	</div>
</details>
