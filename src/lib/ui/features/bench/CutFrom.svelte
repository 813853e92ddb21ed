<script lang="ts">
	import type { CutChoice } from '$lib/stock/cut-choice';
	import { showLeft, stockName } from '$lib/stock/words';
	import { whatShort } from '$lib/stock/what';
	import { showToCut } from '$lib/wording/units';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** Where the strands that go on come from, for people who keep a stock. */
	interface Props {
		choices: readonly CutChoice[];
		/** The source of each strand; null for one that does not come from the stock. */
		from: Readonly<Record<string, string | null>>;
		onchange: (part: string, source: string | null) => void;
	}
	let { choices, from, onchange }: Props = $props();
	const preferences = usePreferences();
	const NONE = '';
</script>

{#each choices as { part, what, lengthMm, sources } (part)}
	<div data-cut-from={what}>
		<Select
			label={lengthMm === null
				? `Where the ${whatShort(what)} comes from`
				: `Where to cut ${showToCut(lengthMm, preferences.units)} of ${whatShort(what)} from`}
			options={[
				...sources.map((entry) => ({
					value: entry.id,
					label: `${stockName(entry)}, ${showLeft(entry, preferences.units)} left`
				})),
				{ value: NONE, label: 'Not from the stock' }
			]}
			value={from[part] ?? NONE}
			onchange={(value) => onchange(part, value === NONE ? null : value)}
		/>
	</div>
{/each}
