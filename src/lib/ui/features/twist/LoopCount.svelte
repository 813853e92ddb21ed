<script lang="ts">
	import NumberField from '../../primitives/NumberField.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import LengthInput from './LengthInput.svelte';

	/** A bight held up: its length, how often it spins, and which way; spins are positive as a right-handed screw. */
	interface Props {
		bightMm: number;
		spins: number;
		onchange: (read: { bightMm: number; spins: number }) => void;
	}
	let { bightMm, spins, onchange }: Props = $props();
	// A bight that did not spin has no hand; what was chosen is kept here.
	let hand = $state<'right' | 'left'>();
	const shown = $derived(hand ?? (spins < 0 ? 'left' : 'right'));
	const signed = (count: number): number => (shown === 'right' ? count : -count);
</script>

<LengthInput
	label="Line in the bight, both legs"
	valueMm={bightMm}
	leastMm={200}
	mostMm={20_000}
	onchange={(mm) => onchange({ bightMm: mm, spins })}
/>
<NumberField
	label="Times it spins round"
	value={Math.abs(spins)}
	min={0}
	max={50}
	step={0.5}
	onchange={(count) => onchange({ bightMm, spins: signed(count ?? 0) })}
/>
<Segmented
	label="The legs wind like a screw that is"
	options={[
		{ value: 'right', label: 'right\u2011handed\u00a0\\' },
		{ value: 'left', label: 'left\u2011handed\u00a0/' }
	]}
	value={shown}
	onchange={(value) => {
		hand = value;
		onchange({ bightMm, spins: value === 'right' ? Math.abs(spins) : -Math.abs(spins) });
	}}
	shown
/>
