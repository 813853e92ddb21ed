<script lang="ts">
	import { jobOf } from '$lib/bench/job';
	import { shoppingOf } from '$lib/bench/shopping';
	import type { Workout } from '$lib/setup/evaluate-form';
	import type { SetupForm } from '$lib/setup/form';
	import { showLong, showToCut } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';

	/** What to cut of the backing so that it is enough, and what to buy. Who asks for the depth first can wait for it. */
	let { form, workout }: { form: SetupForm; workout: Workout } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const shopping = $derived(
		shoppingOf(workout, jobOf(form, workout, preferences.schools)).find(
			({ about, goesOnMm }) => about && goesOnMm > 0
		)
	);
</script>

{#if shopping}
	<p class="figure text-[14px]" data-answer="to-buy">
		Cut <b>{showToCut(shopping.cut.cutMm, units)}</b> to be sure · buy
		<b>{shopping.cut.buyMm.map((mm) => showLong(mm, units)).join(' + ')}</b>
	</p>
{/if}
