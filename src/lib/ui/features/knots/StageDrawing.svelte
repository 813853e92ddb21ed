<script lang="ts">
	import { drawMovingKnot, findKnot, momentOf, recast, type DrawnKnot, type Recast } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import Droplets from '@lucide/svelte/icons/droplets';
	import Scissors from '@lucide/svelte/icons/scissors';
	import { boxBetween, boxOf, type Box, type View } from '../../charts/knot/layout';
	import { boxAround, boxRound, handMarksOf, labelsOf } from '../../charts/knot/marks';

	/** A knot at a place between its stages; the frame goes along from one stage's to the next's. */
	interface Props {
		knot: DrawnKnot;
		as?: Recast | undefined;
		wraps: number;
		place: number;
		view: View;
	}
	let { knot: still, as, wraps, place, view }: Props = $props();
	/** The curves in between are fetched later. Until they are here, one tight stage fades into the next. */
	let moving = $state.raw<DrawnKnot>();
	$effect(() => {
		const { slug } = still;
		drawMovingKnot(findKnot(slug)!)
			.then((knot) => (moving = knot))
			.catch(() => undefined);
	});
	const knot = $derived(recast(moving?.slug === still.slug ? moving : still, as));
	const moment = $derived(momentOf(knot, wraps, place));
	const atRest = $derived(Number.isInteger(place));
	let [wide, tall] = $state([640, 320]);
	/** The height of the words, px, however large the picture is. */
	const LETTERS_PX = 15;
	const inBox = ({ width, height }: Box): number =>
		LETTERS_PX / Math.min((wide || 640) / width, (tall || 320) / height);
	const frames = $derived(
		knot.stages.map((stage) => {
			const strands = stage.strands(wraps);
			const bare = boxOf(strands, view);
			const high = inBox(bare);
			const hands = handMarksOf(stage.hands(wraps), view);
			const labels = labelsOf(strands, view, high, hands).map(({ box }) => box);
			return { high, box: boxRound([bare, ...labels.map((box) => boxAround(box, high / 3))]) };
		})
	);
	const at = $derived(Math.min(Math.floor(place), knot.stages.length - 1));
	const frame = $derived(frames[at]!);
	const box = $derived(boxBetween(frame.box, (frames[at + 1] ?? frame).box, place - at));
	const stage = $derived(knot.stages[Math.ceil(place - 1e-6)]!);
	const help = $derived(
		atRest ? { high: frame.high, laid: stage.laid(wraps), hands: stage.hands(wraps) } : undefined
	);
</script>

<div class="relative size-full" bind:clientWidth={wide} bind:clientHeight={tall}>
	<KnotDiagram
		strands={moment.strands}
		fading={moment.fading}
		{help}
		{box}
		{view}
		label="{knot.name}, stage {knot.stages.indexOf(stage) + 1} of {knot.stages
			.length}: {stage.title}. {stage.looks}"
	/>
	{#if atRest && stage.signs}
		<ul class="figure absolute top-0 right-0 flex gap-2 text-[15px]" data-signs>
			{#each stage.signs as sign (sign)}
				<li class="flex items-center gap-1 bg-paper px-1">
					{#if sign === 'wet'}<Droplets size={17} />wet{:else}<Scissors size={17} />cut{/if}
				</li>
			{/each}
		</ul>
	{/if}
</div>
