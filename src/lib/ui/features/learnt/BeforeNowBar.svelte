<script lang="ts">
	import type { BeforeNow } from '$lib/inventory/learnt';

	interface Props {
		of: BeforeNow;
		show: (value: number) => string;
	}
	/** Two ranges on one scale: what was thought before any winding, and what is known now. */
	let { of, show }: Props = $props();

	const all = $derived([of.before.low, of.before.high, of.now.low, of.now.high]);
	const low = $derived(Math.min(...all));
	const span = $derived(Math.max(...all) - low || 1);
	const at = (value: number): number => (100 * (value - low)) / span;
	const text = (value: BeforeNow['now']): string =>
		`${show(value.value)} (${show(value.low)} to ${show(value.high)})`;
</script>

<span class="block">
	<span
		class="relative my-1 block h-4 w-full min-w-32 border-x border-hair"
		role="img"
		aria-label="Before: {text(of.before)}. Now: {text(of.now)}."
	>
		<span
			class="absolute inset-y-1.5 bg-hair"
			style="left: {at(of.before.low)}%; width: {at(of.before.high) - at(of.before.low)}%"
		></span>
		<span
			class="absolute inset-y-1 bg-line/70"
			style="left: {at(of.now.low)}%; width: {at(of.now.high) - at(of.now.low)}%"
		></span>
		<span class="absolute inset-y-0 w-0.5 bg-ink" style="left: {at(of.now.value)}%"></span>
	</span>
	<span class="figure block text-[14px]">
		<b class="font-semibold">{show(of.now.value)}</b>
		<span class="text-soft">{show(of.now.low)}–{show(of.now.high)}; was {show(of.before.value)}</span>
	</span>
</span>
