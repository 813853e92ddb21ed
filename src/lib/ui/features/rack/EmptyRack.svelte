<script lang="ts">
	import { workOut } from '$lib/setup/evaluate-form';
	import { newSetup } from '$lib/setup/presets';
	import { formatLength } from '$lib/core';
	import { longUnit, showLong, showSmall, smallUnit } from '$lib/wording/units';
	import Section from '../../charts/section/Section.svelte';
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** The first minute: a spool to play with, and three ways to begin with one's own. */
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	const WAYS = [
		['rated', 'What does the box say?', 'A line and so many yards of backing: enough for a first answer.'],
		['measured', 'I have calipers', 'Three measures of the spool give the closest answer.'],
		['filled', "It's already wound", 'What is on it, and the gap it leaves, say how much it holds.']
	] as const;

	let opening = $state(false);
	async function openSample(): Promise<void> {
		opening = true;
		const trouble = troubleOf(
			await send('PUT', '/api/place', { place: 'sample' }),
			'Your rack is still empty'
		);
		opening = false;
		if (trouble !== undefined) return notify(trouble);
		// Everything that this window remembers belongs to the person's own rack: the page begins anew.
		location.assign('/');
	}

	let gapMm = $state(5);
	/** An ordinary trout reel with an ordinary line. */
	const worked = $derived.by(() => {
		const form = newSetup();
		Object.assign(form.spool, { way: 'measured', rim: '84 mm', arbor: '38 mm', width: '21 mm' });
		form.fill.gap = formatLength(gapMm, smallUnit(units));
		return workOut(form, units);
	});
	const stop = $derived(worked.ok ? worked.value.fit.layers[worked.value.stopIndex] : undefined);
</script>

<div class="grid gap-x-12 gap-y-8 py-8 lg:grid-cols-[1fr_1.1fr]">
	<div>
		<p class="figure text-[40px] leading-[1.05] font-bold tracking-tight">Your rack is empty.</p>
		<p class="mt-3 max-w-[46ch] text-[17px]">
			Wendle tells you how much backing goes under your fly line, and when to stop winding it. Then it walks
			you through the job and remembers what is on every spool.
		</p>
		<h2 class="figure mt-7 text-[18px] font-semibold">Set up your first spool</h2>
		<ul class="mt-2 border-t-[3px] border-ink">
			{#each WAYS as [way, title, text] (way)}
				<li class="border-b border-hair">
					<a href="/fit/new?know={way}" class="group block py-3.5 hover:bg-paper">
						<span class="figure block text-[21px] leading-tight font-semibold group-hover:underline"
							>{title}</span
						><span class="text-soft">{text}</span>
					</a>
				</li>
			{/each}
		</ul>
		<p class="mt-5">
			<button type="button" class="action-quiet min-h-11" disabled={opening} onclick={() => void openSample()}
				>{opening ? 'Opening the sample kit room…' : 'Try it with a sample kit room'}</button
			>
		</p>
		<p class="mt-1.5 max-w-[46ch] text-[14px] text-soft">
			Invented reels, lines and a season of care, in a separate place. Throw it away when you have seen
			enough.
		</p>
	</div>
	<section aria-label="Try it here" class="min-w-0">
		<h2 class="figure text-[18px] font-semibold">Try it here: drag the gap</h2>
		{#if worked.ok && stop}
			<p class="figure mt-1 text-[21px] leading-snug" role="status" data-try>
				With a gap of {showSmall(gapMm, units)},
				<b class="px-1 marked">{showLong(stop.lengthMm, units)}</b> of backing goes under a WF5F. Stop
				{showSmall(stop.depthMm, units)} below the rim.
			</p>
			<div class="mt-2 border border-ink bg-paper">
				<Section workout={worked.value} {units} maxHeight={400} ongap={(mm) => (gapMm = mm)} />
			</div>
			<p class="mt-1.5 text-[13.5px] text-soft">
				A spool cut open, 84 mm across its rims. Each circle is one turn, true to scale, in {longUnit(units)} and
				{smallUnit(units)}.
			</p>
		{/if}
	</section>
</div>
