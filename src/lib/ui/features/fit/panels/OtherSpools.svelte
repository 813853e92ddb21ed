<script lang="ts">
	import { solveFit, spoolOf } from '$lib/core';
	import { Reader } from '$lib/setup/read-text';
	import type { SpoolForm } from '$lib/setup/form';
	import { readSource } from '$lib/setup/read-spool';
	import { showLong } from '$lib/wording/units';
	import { spoolPage } from '../../../state/answers';
	import { everything } from '../../../state/pages';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';

	/** The person's other spools that take this stack with enough under it. */
	let { fit, leastMm }: { fit: FitState; leastMm: number } = $props();
	const preferences = usePreferences();
	type Listed = { id: string; form: SpoolForm };

	const listed = everything('/api/spools', spoolPage);
	/** Each that has enough, with what it would take, the roomiest last. */
	function roomy(spools: readonly Listed[]): { id: string; name: string; lengthMm: number }[] {
		const { workout } = fit;
		if (!workout) return [];
		return spools
			.flatMap(({ id, form }) => {
				const reader = new Reader();
				const source = readSource(form, preferences.units, reader);
				const built = reader.issues.length === 0 ? spoolOf(source) : undefined;
				if (!built?.ok || id === fit.spoolId) return [];
				const on = solveFit(built.value.spool, workout.problem.stack, workout.problem.gapMm);
				const lengthMm = on.ok && on.value.fits ? (on.value.solved?.lengthMm ?? 0) : 0;
				return lengthMm >= leastMm ? [{ id, name: form.name || 'Unnamed spool', lengthMm }] : [];
			})
			.sort((a, b) => a.lengthMm - b.lengthMm);
	}
</script>

{#await listed then reply}
	{#if reply.kind === 'ok'}
		{@const others = roomy(reply.value)}
		<p class="mt-2 text-[14.5px]">
			{others.length > 0
				? 'It fits these of your other spools:'
				: "It doesn't fit any of your other spools either."}
		</p>
		<ul class="list-disc pl-5">
			{#each others as { id, name, lengthMm } (id)}
				<li>
					<a class="underline decoration-2 underline-offset-4" href="/fit/new?spool={id}">{name}</a>: {showLong(
						lengthMm,
						preferences.units
					)}
				</li>
			{/each}
		</ul>
	{/if}
{/await}
