<script lang="ts">
	import { practiceWraps, type Exercise, type DrawnKnot } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { FRONT } from '../../charts/knot/layout';

	/** Pictures to pick one from: the stage that comes next, or the one that is tied wrong. */
	interface Props {
		knot: DrawnKnot;
		exercise: Extract<Exercise, { kind: 'next' | 'wrong' }>;
		answered: (right: boolean) => void;
	}
	let { knot, exercise, answered }: Props = $props();
	let picked = $state<number>();
	const wraps = $derived(practiceWraps(knot));
	const stage = $derived(knot.stages[exercise.stage]!);

	function pick(i: number): void {
		if (picked !== undefined) return;
		picked = i;
		answered(i === exercise.right);
	}
	/** Told apart by words as well as by colour. */
	function verdict(i: number): string {
		if (picked === undefined) return '';
		if (i === exercise.right) return exercise.kind === 'next' ? 'this one comes next' : 'this one is wrong';
		return i === picked ? (exercise.kind === 'next' ? 'not this one' : 'this one is right') : '';
	}
</script>

{#if exercise.kind === 'next'}
	<figure class="mt-3 max-w-md">
		<div class="h-48 border-y-2 border-ink bg-paper p-2">
			<KnotDiagram strands={stage.strands(wraps)} view={FRONT} label="{stage.title}. {stage.looks}" />
		</div>
		<figcaption class="mt-1 text-[17px]"><b>{stage.title}.</b> {stage.looks}</figcaption>
	</figure>
{:else}
	<p class="mt-1 text-[17px]">{stage.title}: {stage.looks}</p>
{/if}
<ol
	class="mt-4 grid gap-4 sm:grid-cols-2 {exercise.choices.length === 3 ? 'lg:grid-cols-3' : 'lg:grid-cols-4'}"
>
	{#each exercise.choices as { strands, yaw, pitch }, i (i)}
		<li>
			<button
				type="button"
				class="block w-full border-2 bg-paper p-2 text-left {picked === undefined
					? 'border-hair hover:border-ink'
					: i === exercise.right
						? 'border-ink'
						: 'border-hair'}"
				aria-disabled={picked !== undefined}
				onclick={() => pick(i)}
			>
				<span class="block h-40"
					><KnotDiagram {strands} view={{ yaw, pitch, mirrored: false }} label="Picture {i + 1}" /></span
				>
				<span class="figure block min-h-6 text-[15px]"
					>{i + 1}{#if verdict(i)}: <b>{verdict(i)}</b>{/if}</span
				>
			</button>
		</li>
	{/each}
</ol>
{#if picked !== undefined}
	<p class="mt-3 max-w-[60ch] text-[16px]">
		{#if exercise.kind === 'next'}
			{@const next = knot.stages[exercise.stage + 1]!}
			<b>{next.title}.</b>
			{next.instruction}
		{:else}
			In the wrong picture one strand passes over where it should pass under. However you push it about, it
			doesn't become the knot. {stage.mistake}
		{/if}
	</p>
{/if}
