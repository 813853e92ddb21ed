<script lang="ts">
	import { formatNumber, loopTest, rangeOf, twistVerdict, type Day } from '$lib/core';
	import { usualBightMm } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import PhoneFold from '../../primitives/PhoneFold.svelte';
	import LoopCount from './LoopCount.svelte';

	import { writer } from '../../state/writing';

	/** How twisted is it now: a bight held up, and how far it spins. Written down, where it is of a line that is kept. */
	interface Props {
		line: { readonly id: string; readonly label: string } | undefined;
		today: Day;
	}
	let { line, today }: Props = $props();
	const write = writer(() => today);
	const preferences = usePreferences();
	let bightMm = $state(usualBightMm(preferences.units));
	let spins = $state(2);
	const measured = $derived(loopTest(bightMm, spins));
	const range = $derived(rangeOf(measured));
	const SAYS = {
		none: 'There is nothing to do.',
		noticed: "You'll see it when the line goes slack. Take it out when you have time.",
		loops: 'It throws loops. Take it out before you fish.'
	} as const;
	const one = (value: number): string => formatNumber(value, 1);
</script>

<section aria-labelledby="loop-test" class="mt-6 border-t-2 border-ink pt-3 sm:mt-10" data-loop-test>
	<PhoneFold id="loop-test" title="How twisted is it now?" open={line !== undefined}
		><div class="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-[19rem_minmax(0,1fr)]">
			<div class="space-y-3">
				<LoopCount {bightMm} {spins} onchange={(read) => ({ bightMm, spins } = read)} />
				{#if line}
					{@const { id, label } = line}
					<button
						type="button"
						class="action-quiet min-h-10"
						onclick={() =>
							void write([{ keptId: id, event: { kind: 'loop-test', bightMm, spins } }], `${label}: saved.`)}
						>Save it for {label}</button
					>
				{/if}
			</div>
			<div aria-live="polite">
				<p class="figure leading-none">
					<span class="text-[40px] font-bold tracking-tighter" data-per-metre
						>{one(Math.abs(measured.mean))}</span
					>
					<span class="text-[18px]">turns a metre</span>
				</p>
				<p class="figure text-[15px] text-soft">
					{one(Math.max(0, Math.min(Math.abs(range.low), Math.abs(range.high))))}–{one(
						Math.max(Math.abs(range.low), Math.abs(range.high))
					)}, 9 times out of 10
				</p>
				<p class="mt-2 max-w-[60ch] text-[16px]">{SAYS[twistVerdict(measured.mean)]}</p>
				<p class="mt-2 max-w-[60ch] text-[15px] text-soft">
					Hold the two ends of a bight (a folded piece of the line) together, let it hang free, and count how
					often it spins before it rests. Each spin takes one turn out of each leg. Count to a quarter of a
					turn. Stiffness stops the line a little short.
				</p>
			</div>
		</div></PhoneFold
	>
</section>
