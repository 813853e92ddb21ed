<script lang="ts">
	import { formatNumber, GRIPS, holdOfTurns, type Grip } from '$lib/core';

	/** What turns round the arbor do for the knot that ends them. */
	let { grip }: { grip: Grip } = $props();
	const TURNS = [1, 2, 3];
	const times = (value: number): string => formatNumber(value, value < 10 ? 1 : 0);
</script>

<div class="mt-5 max-w-[60ch] border-l-[3px] border-line pl-3" data-hold>
	<h3 class="text-[15px] font-semibold">Why turns round the arbor</h3>
	<p class="text-[15px]">
		The friction of <i>n</i> turns multiplies what the knot holds by
		<span class="figure whitespace-nowrap">e<sup>&mu;&middot;2&pi;n</sup></span>. The size of the arbor
		doesn't matter; what you wind on it does.
	</p>
	<table class="figure mt-2 text-[14.5px]">
		<thead>
			<tr class="text-left text-soft">
				<th class="pr-6 font-normal">turns</th>
				{#each Object.entries(GRIPS) as [key, { label }] (key)}
					<th class="pr-6 {key === grip ? 'font-semibold text-ink' : 'font-normal'}" scope="col">{label}</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each TURNS as turns (turns)}
				<tr>
					<th class="pr-6 text-left font-normal" scope="row">{turns}</th>
					{#each Object.entries(GRIPS) as [key, { low, high }] (key)}
						<td class="pr-6 {key === grip ? 'font-semibold' : 'text-soft'}">
							&times; {times(holdOfTurns(low, turns))}–{times(holdOfTurns(high, turns))}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="mt-1 text-[13.5px] text-soft">
		Belt equation (Euler, Eytelwein). Friction &mu; from {GRIPS['thin-bare'].low} to {GRIPS['on-bed'].high},
		from memory and rough.
	</p>
</div>
