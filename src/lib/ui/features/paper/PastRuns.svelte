<script lang="ts">
	import { keys } from '$lib/core';
	import { PAST_ROWS, type PastRun } from '$lib/bench/past';
	import { showDay } from '$lib/wording/dates';
	import { usePreferences } from '../../state/preferences.svelte';

	/** Finished windings side by side: as planned, and as wound. */
	interface Props {
		runs: readonly PastRun[];
		/** Photos that are there: others were deleted, or have not come yet. */
		photosHere: readonly string[];
		ontakeback: (id: string) => void;
		ondeletephoto: (id: string) => void;
	}
	let { runs, photosHere, ontakeback, ondeletephoto }: Props = $props();
	const here = $derived(new Set(photosHere));
	const preferences = usePreferences();
	const rows = keys(PAST_ROWS);
</script>

<div class="mt-5 overflow-x-auto">
	<table class="figure border-collapse text-left text-[17px]" data-past>
		<thead>
			<tr class="align-bottom">
				<td></td>
				{#each runs as { id, woundOn, who, hand } (id)}
					<th scope="colgroup" colspan="2" class="border-l border-hair px-4 pb-1">
						{showDay(woundOn, preferences.locale)}
						<span class="block text-[14px] font-normal text-soft">{who ? `${who}, ` : ''}{hand} hand</span>
					</th>
				{/each}
			</tr>
			<tr class="border-b-2 border-ink text-[14px] text-soft">
				<td></td>
				{#each runs as { id } (id)}
					<th scope="col" class="border-l border-hair px-4 font-normal">planned</th>
					<th scope="col" class="px-4 font-normal">as wound</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as key (key)}
				<tr class="border-b border-hair">
					<th scope="row" class="py-1.5 pr-6 font-normal">{PAST_ROWS[key]}</th>
					{#each runs as { id, cells } (id)}
						<td class="border-l border-hair px-4 text-soft">{cells[key].planned}</td>
						<td class="px-4 font-semibold">{cells[key].actual}</td>
					{/each}
				</tr>
			{/each}
			<tr class="align-top text-[15px]">
				<th scope="row" class="py-2 pr-6 font-normal">Knots, remarks</th>
				{#each runs as { id, knots, remarks, troubles, photos } (id)}
					<td colspan="2" class="max-w-80 border-l border-hair px-4 py-2">
						{#each knots as knot (knot)}<p>{knot}</p>{/each}
						{#each remarks as remark, i (i)}<p class="mt-1">“{remark}”</p>{/each}
						{#each troubles as trouble, i (i)}<p class="mt-1 text-warn">Put right: {trouble}</p>{/each}
						<div class="mt-2 flex flex-wrap gap-2">
							{#each photos.filter((one) => here.has(one)) as photo (photo)}
								<figure>
									<a href="/api/photos/{photo}"
										><img
											src="/api/photos/{photo}"
											alt="From that winding"
											class="h-24 border border-ink"
											loading="lazy"
										/></a
									>
									<figcaption class="no-print">
										<button
											type="button"
											class="min-h-6 text-[13px] underline"
											onclick={() => ondeletephoto(photo)}>Delete this photo</button
										>
									</figcaption>
								</figure>
							{/each}
						</div>
						<p class="no-print mt-2 flex flex-wrap gap-x-4 gap-y-1">
							<a class="inline-flex min-h-6 items-center underline" href="/label/{id}">Print its label</a>
							<button type="button" class="min-h-6 underline" onclick={() => ontakeback(id)}
								>Undo this winding</button
							>
						</p>
					</td>
				{/each}
			</tr>
		</tbody>
	</table>
</div>
