<script lang="ts">
	import { CAUTIONS, wrapsOf, type DrawnKnot } from '$lib/core';
	import FlipHorizontal from '@lucide/svelte/icons/flip-horizontal-2';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import { replaceState } from '$app/navigation';
	import Legend from '../../charts/knot/Legend.svelte';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { saveDrawing } from '../../charts/export/save';
	import { withMeanings } from '$lib/wording/meanings';
	import NumberInput from '../../primitives/NumberInput.svelte';
	import Prose from '../../primitives/Prose.svelte';
	import { isShortcut } from '../../state/shortcuts';
	import { Playback } from './playback.svelte';
	import StageDrawing from './StageDrawing.svelte';

	/** One knot: stage by stage, as many wraps as are wanted, mirrored for a left-hander, turned a little by hand. */
	let {
		knot,
		wraps: first,
		stage: from
	}: { knot: DrawnKnot; wraps: number | undefined; stage: number } = $props();
	// The page is made anew for another knot.
	// svelte-ignore state_referenced_locally
	const playback = new Playback(knot.stages.length, from);
	$effect(() => () => playback.pause());
	// svelte-ignore state_referenced_locally
	let asked = $state(first);
	let mirrored = $state(false);
	let turn = $state({ yaw: 0, pitch: 0 });
	let drawing = $state<HTMLElement>();

	const wraps = $derived(wrapsOf(knot, asked));
	const at = $derived(playback.stage);
	const stage = $derived(knot.stages[at]!);
	const count = $derived(knot.stages.length);
	/** How far a view may be turned, radians: far enough to see depth, not so far that it is another picture. */
	const MOST_TURN = 0.5;
	const clamp = (angle: number): number => Math.min(Math.max(angle, -MOST_TURN), MOST_TURN);

	function go(to: number): void {
		playback.go(to);
		remember();
	}
	/** The stage and the wraps, in the address: it can be passed on, and found again. */
	function remember(): void {
		replaceState(`?stage=${playback.stage + 1}&wraps=${wraps}`, {});
	}
	const toggle = (): void => (playback.playing ? playback.pause() : playback.play());
	const KEYS: Record<string, () => void> = {
		ArrowRight: () => go(at + 1),
		ArrowLeft: () => go(at - 1),
		Home: () => go(0),
		End: () => go(count - 1),
		x: () => (mirrored = !mirrored),
		p: toggle
	};
	function onkeydown(event: KeyboardEvent): void {
		const act = KEYS[event.key];
		// On the slider too an arrow is a stage: hairs are for the pointer.
		const slider = (event.target as Element).matches('[type=range]');
		if (!act || (!slider && !isShortcut(event)) || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		act();
	}
	function drag(event: PointerEvent): void {
		if (event.buttons !== 1) return;
		turn = {
			yaw: clamp(turn.yaw + event.movementX / 250),
			pitch: clamp(turn.pitch + event.movementY / 250)
		};
	}
	const svg = (): SVGSVGElement => drawing!.querySelector('svg')!;
	const file = $derived(`${knot.slug}-${at + 1}`);
</script>

<svelte:window {onkeydown} />

<div class="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
	<div>
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<div
			bind:this={drawing}
			class="aspect-[16/10] w-full cursor-grab touch-none border-y-2 border-ink bg-paper p-3 active:cursor-grabbing sm:aspect-[2/1]"
			onpointermove={drag}
			ondblclick={() => (turn = { yaw: 0, pitch: 0 })}
		>
			<StageDrawing {knot} {wraps} place={playback.place} view={{ ...turn, mirrored }} />
		</div>
		<div class="mt-2"><Legend strands={stage.strands(wraps)} /></div>
		<div class="mt-2 flex flex-wrap items-center gap-3">
			<button type="button" class="action-quiet min-h-11" disabled={at === 0} onclick={() => go(at - 1)}
				>Back</button
			>
			<button
				type="button"
				class="action-quiet min-h-11"
				aria-label={playback.playing ? 'Pause' : 'Play'}
				onclick={toggle}
				>{#if playback.playing}<Pause size={18} />{:else}<Play size={18} />{/if}</button
			>
			<input
				type="range"
				min="1"
				max={count}
				step="0.01"
				value={playback.place + 1}
				aria-label="Stage"
				aria-valuetext="{at + 1} of {count}: {stage.title}"
				class="min-h-11 min-w-0 flex-1 accent-ink"
				oninput={(event) => playback.scrub(event.currentTarget.valueAsNumber - 1)}
				onchange={remember}
			/>
			<button type="button" class="action min-h-11" disabled={at === count - 1} onclick={() => go(at + 1)}
				>Next</button
			>
		</div>
		<div class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2 text-[15px]">
			{#if knot.wraps.most > knot.wraps.least}
				<label class="figure flex items-center gap-2">
					{knot.wraps.noun}
					<NumberInput
						min={knot.wraps.least}
						max={knot.wraps.most}
						value={wraps}
						late
						class="w-16 border-b-[1.5px] border-ink bg-transparent py-1 text-[18px]"
						onchange={(typed) => {
							asked = typed;
							remember();
						}}
					/>
				</label>
				{#if knot.wraps.counted}<p class="basis-full text-soft sm:basis-auto">{knot.wraps.counted}</p>{/if}
			{/if}
			<button
				type="button"
				class="action-quiet min-h-10 aria-pressed:bg-ink aria-pressed:text-paper"
				aria-pressed={mirrored}
				onclick={() => (mirrored = !mirrored)}><FlipHorizontal size={16} />For the left hand</button
			>
			<span class="ml-auto flex gap-2">
				<button type="button" class="action-quiet" onclick={() => void saveDrawing(svg(), file, 'svg')}
					>SVG</button
				>
				<button type="button" class="action-quiet" onclick={() => void saveDrawing(svg(), file, 'png')}
					>PNG</button
				>
				<a
					class="action-quiet"
					href="/api/knots/{knot.slug}?stage={at + 1}&wraps={wraps}"
					download="{file}.json">Curves</a
				>
			</span>
		</div>
	</div>
	<div aria-live="polite">
		<p class="figure text-[15px] text-soft">{at + 1} of {count}</p>
		<h2 class="text-[28px] leading-tight font-bold tracking-tight" data-stage-title>{stage.title}</h2>
		<p class="mt-2 text-[21px] leading-snug"><Prose pieces={withMeanings([stage.instruction])[0]!} /></p>
		<dl class="mt-4 space-y-2 border-l-[3px] border-line pl-3 text-[17px]">
			<div>
				<dt class="figure inline font-semibold">Looks:</dt>
				<dd class="inline">{stage.looks}</dd>
			</div>
			<div>
				<dt class="figure inline font-semibold">Often wrong:</dt>
				<dd class="inline">{stage.mistake}</dd>
			</div>
		</dl>
		{#if stage.wrong}
			<figure class="mt-5 border-t-2 border-warn pt-2" data-wrong>
				<div class="h-36 bg-paper p-2">
					<KnotDiagram
						strands={stage.wrong.strands()}
						view={{ ...turn, mirrored }}
						label="Not like this. {stage.wrong.says}"
					/>
				</div>
				<figcaption class="mt-1 text-[16px]">
					<b class="figure text-warn">Not like this.</b>
					{stage.wrong.says}
				</figcaption>
			</figure>
		{/if}
		{#each stage.cautions ?? [] as caution (caution)}
			<p class="mt-3 flex gap-2 text-[16px]">
				<TriangleAlert size={18} class="mt-0.5 shrink-0 text-warn" aria-label="Caution" />{CAUTIONS[caution]}
			</p>
		{/each}
	</div>
</div>
