<script lang="ts">
	import { slipIn, type Slip } from '$lib/setup/slips';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';

	/** A likely slip in the measures of the spool, and what was probably meant, to accept. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const slip = $derived(slipIn(fit.form.spool, preferences.units));
	const SLIPS: Record<Slip['kind'], string> = {
		inches: 'These look like inches.',
		millimetres: 'These look like millimetres.',
		swapped: 'The rim is smaller than the arbor. Did you type each in the other’s place?',
		radius: 'Measure right across. Did you measure from the middle?'
	};
	const MEASURES: Record<string, string> = { rim: 'rims', arbor: 'arbor', width: 'width' };
	const meant = ({ mended }: Slip): string =>
		Object.entries(mended)
			.map(([key, text]) => `${MEASURES[key]} ${text}`)
			.join(', ');
</script>

{#if slip}
	<p class="text-[14px] text-warn" role="status" data-slip={slip.kind}>
		{SLIPS[slip.kind]}
		<button
			type="button"
			class="min-h-8 underline"
			onclick={() => fit.change((form) => void Object.assign(form.spool, slip.mended))}
			>Use {meant(slip)}</button
		>
	</p>
{/if}
