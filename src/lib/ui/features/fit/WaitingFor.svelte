<script lang="ts">
	import type { SpoolForm } from '$lib/setup/form';
	import type { FitState } from './fit-state.svelte';

	/** Where the drawing will stand: what is still needed for a first answer. */
	let { fit }: { fit: FitState } = $props();

	const ASK: Record<SpoolForm['way'], [ask: string, why: string]> = {
		rated: [
			'Type the figure from the box.',
			"The box names a line and so many yards of backing. That's enough for a first answer. Measure the spool for a closer one."
		],
		filled: [
			'Say what is on it now.',
			'Say which line and how much backing is on it, and the gap they leave. Wendle then knows how much the spool holds.'
		],
		measured: [
			'Measure across the rims, across the arbor and between the flanges.',
			'Calipers are best, and a rule will do. Type what you read: "3 3/8 in" or "85 mm", in any units.'
		]
	};
	const NAMES: Record<string, string> = {
		'spool.rim': 'across the rims',
		'spool.arbor': 'across the arbor',
		'spool.width': 'between the flanges',
		'spool.low': 'the arbor where it is lowest',
		'spool.floor': 'between the flanges, at the arbor',
		'spool.filled.length': 'how much backing is on it',
		'spool.filled.gap': 'the gap it leaves'
	};
	const missing = $derived(fit.missing.flatMap(({ path }) => NAMES[path.join('.')] ?? []));
	const [ask, why] = $derived(ASK[fit.form.spool.way]);
</script>

<div class="grid min-h-[420px] place-items-center p-8">
	<div class="max-w-[34ch] space-y-3">
		<p class="figure text-[22px] leading-snug font-semibold">{ask}</p>
		<p class="text-soft">{why}</p>
		{#if missing.length === 1}<p>This is still missing: <strong>{missing[0]}</strong>.</p>{/if}
	</div>
</div>
