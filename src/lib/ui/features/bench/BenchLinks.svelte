<script lang="ts">
	import { jobText, type BenchJob } from '$lib/bench/work';
	import type { BenchForm } from '../../state/cookies';
	import { rememberBenchForm } from '../../state/preferences.svelte';
	import WhoWinds from './WhoWinds.svelte';
	import { refresh } from '../../state/refresh';

	/** Beside the steps: who winds, and where else to look. */
	interface Props {
		setupId: string;
		doing: BenchJob;
		winder: string;
		winders: readonly string[];
		/** How often this set-up was wound before. */
		before: number;
		form: BenchForm;
		onways: () => void;
	}
	let { setupId, doing, winder, winders, before, form, onways }: Props = $props();

	const other = $derived(form === 'short' ? 'steps' : 'short');
	function switchForm(): void {
		rememberBenchForm(other);
		void refresh('wendle:bench');
	}
</script>

<WhoWinds {winder} {winders} onchanged={() => void refresh('wendle:bench')} />
<div class="no-print figure mt-3 flex flex-wrap gap-x-4 gap-y-1 text-[15px]">
	<button type="button" class="min-h-8 underline" onclick={onways}>How you do it</button>
	{#if doing.kind === 'wind' || doing.kind === 'swap'}
		<button type="button" class="min-h-8 underline" onclick={switchForm}
			>{form === 'short' ? 'Go step by step' : 'Wind on one screen'}</button
		>
	{/if}
	<a class="grid min-h-8 place-items-center underline" href="/help/words">What the words mean</a>
	<a class="grid min-h-8 place-items-center underline" href="/bench/{setupId}/sheet?job={jobText(doing)}"
		>Job sheet</a
	>
	{#if doing.kind !== 'wind'}
		<a class="grid min-h-8 place-items-center underline" href="/bench/{setupId}?job=wind"
			>Start from the bare arbor</a
		>
	{/if}
	{#if before > 0}
		<a class="grid min-h-8 place-items-center underline" href="/bench/{setupId}/past"
			>{before === 1 ? '1 winding before' : `${before} windings before`}</a
		>
	{/if}
</div>
