<script lang="ts">
	import { parseLength, sharedBacking, type MatchBacking } from '$lib/core';
	import type { OwnLine, OwnSpool } from '$lib/setup/match';
	import { showLong, showSmall, smallUnit } from '$lib/wording/units';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** One backing under every line that will ever go on a spool: each keeps at least its own gap. */
	interface Props {
		spools: readonly OwnSpool[];
		lines: readonly OwnLine[];
		backing: MatchBacking;
	}
	let { spools, lines, backing }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	let chosen = $state<string>();
	/** The lines that will go on it, with the gap each has to keep as typed. */
	let wanted = $state<Record<string, string | undefined>>({});

	const spool = $derived(spools.find(({ id }) => id === chosen) ?? spools[0]!);
	const going = $derived(
		lines.flatMap((line) => {
			const typed = wanted[line.key];
			if (typed === undefined) return [];
			const gap = parseLength(typed, smallUnit(units));
			return [{ line, leastGapMm: gap.ok && gap.value >= 0 ? gap.value : undefined }];
		})
	);
	const readable = $derived(going.every(({ leastGapMm }) => leastGapMm !== undefined));
	const shared = $derived(
		going.length > 0 && readable
			? sharedBacking(
					spool.spool,
					going.map(({ line, leastGapMm }) => ({ ...line, leastGapMm: leastGapMm! })),
					backing
				)
			: undefined
	);
	function toggle(key: string, on: boolean): void {
		wanted[key] = on ? '3 mm' : undefined;
	}
</script>

<section class="mt-10 max-w-3xl" aria-label="One backing, many lines">
	<h2 class="text-[19px] font-bold">One backing, many lines</h2>
	<div class="mt-2 grid gap-6 sm:grid-cols-[1fr_1fr]">
		<div>
			<Select
				label="On this spool"
				options={spools.map(({ id, name }) => ({ value: id, label: name }))}
				value={spool.id}
				onchange={(id) => (chosen = id)}
			/>
			<fieldset class="mt-3">
				<legend class="text-[13px] text-soft"
					>Lines that will go on it, and the gap that each one needs</legend
				>
				<ul>
					{#each lines as line (line.key)}
						{@const on = wanted[line.key] !== undefined}
						<li class="flex min-h-8 items-center gap-3 border-b border-hair">
							<label class="figure flex flex-1 items-center gap-2 text-[15px]">
								<input
									type="checkbox"
									checked={on}
									onchange={(event) => toggle(line.key, event.currentTarget.checked)}
								/>{line.short}
							</label>
							{#if on}
								<input
									class="figure w-20 border-b border-ink bg-transparent text-right text-[15px]"
									aria-label="Gap to keep with {line.short}"
									bind:value={wanted[line.key]}
								/>
							{/if}
						</li>
					{/each}
				</ul>
			</fieldset>
		</div>
		<div data-shared>
			{#if going.length === 0}
				<p class="text-soft">Choose the lines. Wendle then shows the backing that works under all of them.</p>
			{:else if !readable}
				<p class="text-warn">A gap needs a number and a unit, such as 3 mm.</p>
			{:else if shared}
				<p class="figure text-[13px] text-soft">wind this much backing under all of them</p>
				<p class="figure text-[44px] leading-tight font-bold">
					<span class="px-1 marked">{showLong(shared.lengthMm, units)}</span>
				</p>
				<ul class="mt-2">
					{#each going as { line }, i (line.key)}
						<li class="figure flex justify-between border-b border-hair py-1 text-[15px]">
							<span
								>{line.short}{#if i === shared.tightest}<span class="text-soft">, sets the limit</span
									>{/if}</span
							>
							<span class="font-semibold">gap {showSmall(shared.gapsMm[i]!, units)}</span>
						</li>
					{/each}
				</ul>
			{:else}
				<p class="text-warn">
					One of these lines doesn't fit this spool with that gap, even with no backing. Take it out, or allow
					it a smaller gap.
				</p>
			{/if}
		</div>
	</div>
</section>
