<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { BenchJob } from '$lib/bench/work';
	import type { BenchState } from './bench-state.svelte';

	/** The whole job: what is done, what is in hand. */
	let { bench, doing, onshow }: { bench: BenchState; doing: BenchJob; onshow: (at: number) => void } =
		$props();
</script>

<ol class="relative mt-2 flex gap-1 max-lg:overflow-x-auto lg:block" aria-label="Steps of the job">
	{#each bench.steps as step, i (step.id)}
		{@const done = bench.done.has(step.id)}
		{@const now = i === bench.at}
		<li class="flex items-center gap-1 lg:border-b lg:border-hair">
			<button
				type="button"
				role="checkbox"
				aria-checked={done}
				aria-label={step.title}
				class="grid size-8 shrink-0 place-items-center max-lg:size-6"
				onclick={() => bench.tick(step, !done)}
			>
				<span
					class="grid size-[18px] place-items-center border-[1.5px] border-ink {done
						? 'bg-ink text-paper'
						: now
							? 'bg-now'
							: ''}"
				>
					{#if done}<Check size={14} strokeWidth={3} />{/if}
				</span>
			</button>
			<button
				type="button"
				class="figure flex-1 py-1.5 text-left text-[15px] leading-tight max-lg:sr-only {now
					? 'font-semibold'
					: 'text-soft'}"
				aria-current={now ? 'step' : undefined}
				onclick={() => onshow(i)}
			>
				<span class={now ? 'marked' : ''}>{step.title}</span>
			</button>
		</li>
	{/each}
	<li class="max-lg:hidden">
		<button
			type="button"
			class="figure w-full py-2 pl-9 text-left text-[15px] {bench.recording ? 'font-semibold' : 'text-soft'}"
			aria-current={bench.recording ? 'step' : undefined}
			onclick={() => onshow(bench.steps.length)}
		>
			<span class={bench.recording ? 'marked' : ''}
				>{doing.kind === 'wind' || doing.kind === 'swap' || doing.kind === 'reverse'
					? 'Save how it turned out'
					: 'Save it'}</span
			>
		</button>
	</li>
</ol>
