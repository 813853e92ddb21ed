<script lang="ts">
	import { onDestroy } from 'svelte';
	import { useHandsBusy } from '../../../state/hands-busy.svelte';
	import NumberInput from '../../../primitives/NumberInput.svelte';
	import type { WindingState } from '../winding.svelte';

	/**
	 * Turns at a set pace: with a tick for every turn, to wind along with; silent, for a drill or a winder whose pace
	 * is known. What has run is written down every second, so that nothing is lost when the page goes.
	 */
	let { winding }: { winding: WindingState } = $props();
	const hands = useHandsBusy();
	const pace = $derived(hands.get('pace'));
	const SLOWEST = 5;
	const FASTEST = 600;
	const WRITE_MS = 1000;

	let ticking = $state(true);
	let running = $state(false);
	/** Turns since the start, and how many of them are written down. */
	let counted = 0;
	let written = 0;
	let timer: ReturnType<typeof setInterval> | undefined;
	let [lastAt, writtenAt] = [0, 0];

	function step(): void {
		const now = performance.now();
		const whole = Math.floor(counted);
		counted += ((now - lastAt) / 60_000) * pace;
		lastAt = now;
		if (ticking && Math.floor(counted) > whole) hands.sound('tick');
		if (now - writtenAt >= WRITE_MS) write(now);
	}
	function write(now: number): void {
		writtenAt = now;
		const turns = Math.floor(counted) - written;
		if (turns === 0) return;
		written += turns;
		winding.add(turns, 'pace');
	}
	function start(): void {
		running = true;
		counted = written = 0;
		lastAt = writtenAt = performance.now();
		timer = setInterval(step, 20);
	}
	function stop(): void {
		if (!running) return;
		step();
		write(performance.now());
		clearInterval(timer);
		running = false;
	}
	onDestroy(stop);
	// At the stop it stops counting by itself: what goes on then is for the rule to say.
	$effect(() => {
		if (running && winding.stage === 'stop' && winding.left < -pace / 30) stop();
	});
</script>

<div class="flex flex-wrap items-center gap-4">
	<button
		type="button"
		class="{running ? 'action-quiet' : 'action'} min-h-20 min-w-56 justify-center px-8 text-[26px]"
		aria-pressed={running}
		onclick={() => (running ? stop() : start())}>{running ? 'Stop' : 'Start'}</button
	>
	<label class="figure flex items-center gap-2 text-[17px]">
		<NumberInput
			min={SLOWEST}
			max={FASTEST}
			value={pace}
			late
			class="w-24 border-b-[1.5px] border-ink bg-transparent py-1 text-[22px]"
			onchange={(turns = SLOWEST) => hands.set('pace', Math.min(Math.max(SLOWEST, turns), FASTEST))}
		/>
		turns a minute
	</label>
	<label class="flex min-h-12 items-center gap-2 text-[17px]">
		<input type="checkbox" bind:checked={ticking} class="size-5 accent-current" />
		tick at every turn
	</label>
</div>
<p class="mt-2 max-w-[60ch] text-[16px] text-soft">
	Wind along with the tick. Or set the pace of your drill or winder, and start and stop both together. A pace
	is a guess: read the depth before you trust it.
</p>
