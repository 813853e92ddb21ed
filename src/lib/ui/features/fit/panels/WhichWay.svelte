<script lang="ts">
	import { formatNumber, type MethodSlug, type ReverseWay } from '$lib/core';
	import { showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import Field from '../../../primitives/Field.svelte';
	import { Aside } from '../../../state/aside.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import LengthField from '../LengthField.svelte';

	/** Every way of finding the amount, played on this very set-up: what it errs by, what it costs. */
	let { fit, tobench }: { fit: FitState; tobench: ((query: string) => void) | undefined } = $props();
	/** Methods that are a job of their own at the bench. */
	const JOB_OF: Partial<Record<MethodSlug, ReverseWay>> = {
		'reverse-fill': 'spools',
		'twin-reel': 'twin',
		'run-out': 'ground'
	};
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	const NAMES: Record<MethodSlug, [name: string, how: string]> = {
		'makers-figure': ["Maker's figure", 'measure off what the box says, less the allowance'],
		'by-eye': ['By eye', 'stop when it looks right'],
		'coil-drop': ['Coil drop', 'lay the tied coil on the backing and look'],
		calculation: ['Calculated length', 'measure off the length above'],
		'stop-depth': ['Calculated depth', 'lay a rule across the rims, and stop at the depth above'],
		checkpoint: ['With a pause', 'pause at four fifths, read turns and depth, count the rest'],
		'half-fit': ['Half-fit', 'wind the line alone on the bare arbor, read its depth, take it off'],
		'reverse-fill': [
			'Reverse fill',
			'wind the line first, then backing over it up to the gap, take all of it off, and wind all of it on again'
		],
		'twin-reel': [
			'Twin reel',
			'fill a second reel of the same model back to front, and wind all of it over from there'
		],
		'run-out': [
			'Run out on the ground',
			'fill the reel back to front, walk all of it out in a straight line, and wind it on from the other end'
		]
	};

	const aside = new Aside(() => {
		const { workout } = fit;
		if (!workout || fit.stale || !workout.fit.solved) return undefined;
		const { problem, fit: planned, spreads } = workout;
		return async () => {
			const { ladderAside } = await import('$lib/workers/client');
			return ladderAside(problem, planned, { trials: 600, spreads });
		};
	});
	const ladder = $derived(aside.value);
	const recommended = $derived(ladder?.rungs.find(({ slug }) => slug === ladder.recommended));
	const percent = (share: number): string => (share === 0 ? 'none' : `${formatNumber(100 * share, 1)} %`);
</script>

{#if ladder && recommended}
	<p
		class="border-l-[3px] border-now py-0.5 pl-3 text-[16.5px] leading-snug"
		data-recommended={ladder.recommended}
	>
		<strong>{NAMES[ladder.recommended][0]}</strong>: {NAMES[ladder.recommended][1]}.
		{ladder.because === 'least-work-that-is-safe'
			? `It keeps the gap within ${showSmall(recommended.gapError95Mm, units)} 19 times out of 20${recommended.extraTurns < 1 ? ', and winds nothing twice' : ', with the least winding of the methods that do'}.`
			: `No method is certain here. This one is the closest, off by up to ${showSmall(recommended.gapError95Mm, units)}.`}
	</p>
	<table class="figure mt-3 w-full text-[14.5px]">
		<thead>
			<tr class="border-b border-ink text-left text-[13px] text-soft">
				<th class="py-1 font-normal">Method</th>
				<th class="py-1 pl-4 text-right font-normal">gap off by up to</th>
				<th class="py-1 pl-4 text-right font-normal">under 1 mm</th>
				<th class="py-1 pl-4 text-right font-normal">rubs</th>
				<th class="py-1 pl-4 text-right font-normal max-sm:hidden">readings</th>
				<th class="py-1 pl-4 text-right font-normal">extra turns</th>
			</tr>
		</thead>
		<tbody>
			{#each ladder.rungs as { slug, gapError95Mm, rubProbability, tightProbability, extraTurns, readings } (slug)}
				<tr class="border-b border-hair align-baseline" data-way={slug}>
					<td class="py-1.5 pr-3">
						<span class={slug === ladder.recommended ? 'px-0.5 font-semibold marked' : ''}
							>{NAMES[slug][0]}</span
						>
						<span class="block font-[family-name:var(--font-text)] text-[13px] text-soft"
							>{NAMES[slug][1]}</span
						>
						{#if JOB_OF[slug] && tobench}
							<button
								type="button"
								aria-label="Take it to the bench: {NAMES[slug][0]}"
								class="min-h-6 text-[13px] underline underline-offset-2"
								onclick={() => tobench(`?job=reverse.${JOB_OF[slug]}`)}>Take it to the bench</button
							>
						{/if}
					</td>
					<td class="py-1.5 pl-4 text-right font-semibold whitespace-nowrap"
						>{showSmall(gapError95Mm, units)}</td
					>
					<td class="py-1.5 pl-4 text-right whitespace-nowrap">{percent(tightProbability)}</td>
					<td class="py-1.5 pl-4 text-right whitespace-nowrap">{percent(rubProbability)}</td>
					<td class="py-1.5 pl-4 text-right whitespace-nowrap max-sm:hidden">{readings || 'none'}</td>
					<td class="py-1.5 pl-4 text-right whitespace-nowrap"
						>{extraTurns < 1 ? 'none' : showTurns(extraTurns / (fit.workout?.gear ?? 1))}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="mt-2 text-[13.5px] text-soft">
		Wendle played each method 600 times on spools as likely as yours, with readings that are a little off.
		Winding on and winding off both count as turns. By eye is assumed to be off by 2 mm, and coil drop by 1.5
		mm.
	</p>
{:else if fit.workout && !fit.workout.fit.solved}
	<p class="text-soft">You've given every length, so there is nothing to find.</p>
{:else if aside.failed}
	<p class="text-soft">No backing goes under this line, so there is nothing to find.</p>
{:else}
	<p class="text-soft" role="status">Working it out …</p>
{/if}

<h3 class="mt-5 text-[15px] font-semibold">Half-fit and reverse fill, step by step</h3>
<ol class="mt-1 list-decimal space-y-1 pl-5 text-[14.5px]">
	<li>Tape the rear end of the line to the bare arbor and wind all of it on, evenly.</li>
	<li>
		Lay the rule across the rims in two places, and type the mean depth here. For a half-fit, take the line
		off: you are done.
	</li>
	<li>
		For a reverse fill, tape the backing to the line's front end and wind it over the line, counting, until
		the gap is right.
	</li>
	<li>Type the turns, cut the backing there, take all of it off, and wind it on again in the right order.</li>
</ol>
<div class="mt-2 grid grid-cols-2 gap-5">
	<LengthField
		{fit}
		unit={smallUnit(units)}
		label="Depth with the line alone"
		path={['fill', 'halfFit']}
		get={({ fill }) => fill.halfFit}
		set={({ fill }, value) => (fill.halfFit = value)}
		placeholder="from the rim down"
	/>
	<Field
		label="Turns of backing over it"
		value={fit.form.fill.reverseTurns}
		placeholder="to the gap wanted"
		inputmode="numeric"
		aside=""
		error={fit.error('fill', 'reverseTurns')}
		oninput={(value) => fit.change(({ fill }) => (fill.reverseTurns = value))}
	/>
</div>
{#if (fit.workout?.parts.filter(({ role }) => role !== 'bed' && role !== 'backing').length ?? 0) > 1}
	<h3 class="mt-5 text-[15px] font-semibold">Coil drop with several coils</h3>
	<p class="mt-1 max-w-prose text-[14.5px]">
		Lay the running line's tied coil on the backing first, inside the flanges, then the head's on top of it,
		and so on outward. Coils stand looser than wound line, and a wider coil stands higher: look only whether
		the last one comes near the rim, and trust the depth above for the rest.
	</p>
{/if}
{#if fit.workout?.halfFitted}
	<p class="mt-2 text-[14px] text-soft">
		{fit.form.fill.reverseTurns.trim() !== ''
			? 'The length, the turns and the depth now come from the room that your line and backing really take on this spool.'
			: 'The stop depth now comes from the room that this line really takes on this spool, whatever its label says.'}
	</p>
{/if}
