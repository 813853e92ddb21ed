<script lang="ts">
	import { findKnot, jobSteps } from '$lib/core';
	import { jobOf } from '$lib/bench/job';
	import { situationQuery } from '$lib/ui/state/knot-question';
	import { jointSituation } from '$lib/bench/joint-situation';
	import { usePreferences } from '../../state/preferences.svelte';
	import KnotPicture from '../knots/KnotPicture.svelte';
	import type { FitState } from './fit-state.svelte';

	/** The knots of a joint as they are tied here, and the way to others. `id`: the part over it, or `arbor`. */
	let { fit, id }: { fit: FitState; id: string } = $props();
	const preferences = usePreferences();
	const workout = $derived(fit.stale ? undefined : fit.workout);
	const job = $derived(workout && jobOf(fit.form, workout, preferences.schools));
	const knots = $derived(
		(job && jobSteps(job).find((step) => step.id === (id === 'arbor' ? id : `join:${id}`))?.knots) ?? []
	);
	/** How thick the two ends are that meet there. */
	const endsMm = $derived.by(() => {
		const at = workout?.parts.findIndex((part) => part.id === id) ?? -1;
		const [under, over] = [
			workout?.stack[at - 1]?.sections.at(-1)?.endDiameterMm,
			workout?.stack[at]?.sections[0]?.startDiameterMm
		];
		return under && over ? { under, over } : undefined;
	});
	const query = $derived(job && situationQuery(jointSituation(job, id, endsMm)));
</script>

{#if knots.length > 0}
	<div class="flex flex-wrap items-end gap-x-3 gap-y-1" data-joint-knots={id}>
		{#each knots as { slug, wraps, as } (slug)}
			{@const knot = findKnot(slug)}
			{#if knot}
				<a
					href="/knots/{slug}?stage={knot.stages.length}&wraps={wraps}"
					class="group block w-[7.4rem] text-[13.5px]"
				>
					<span class="block h-14 bg-paper p-1"><KnotPicture {knot} {wraps} {as} /></span>
					<span class="block leading-tight group-hover:underline">{knot.name}</span>
				</a>
			{/if}
		{/each}
		<a class="text-[13.5px] underline" href="/knots?{query}">Another knot?</a>
	</div>
{/if}
