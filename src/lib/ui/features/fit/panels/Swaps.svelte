<script lang="ts">
	import { castLengthMm, formatLength, parseLength, ROLE_NAMES } from '$lib/core';
	import { MAX_COMPONENTS } from '$lib/setup/limits';
	import { roleName } from '$lib/wording/strands';
	import type { ComponentForm } from '$lib/setup/form';
	import { leaderUnit, longUnit, showLong, showSmall } from '$lib/wording/units';
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import Field from '../../../primitives/Field.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import MadeFields from '../MadeFields.svelte';

	/** Other heads, tips and lines that go on over the same backing, and what the bands of a running line tell. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const fill = $derived(fit.form.fill);
	const workout = $derived(fit.workout);

	/** What can be swapped: whatever lies outside the backing and is no backing. */
	const swappable = $derived(
		fill.stack.filter(({ role, solve }) => !solve && ['line', 'head', 'tip', 'running-line'].includes(role))
	);

	function add(part: ComponentForm): void {
		fit.change(({ fill }) => {
			const taken = fill.swaps.map(({ id }) => id);
			let n = fill.swaps.length + 1;
			while (taken.includes(`swap-${n}`)) n++;
			const { id: of, made, length } = $state.snapshot(part);
			fill.swaps.push({ id: `swap-${n}`, of, made, length, note: '' });
		});
	}
	const roleOf = (of: string) => fill.stack.find(({ id }) => id === of)?.role ?? 'line';

	let bands = $state('');
	let band = $state('');
	const runningIndex = $derived(workout?.parts.findIndex(({ role }) => role === 'running-line') ?? -1);
	const cast = $derived.by(() => {
		if (!workout || runningIndex < 0 || bands.trim() === '') return undefined;
		const bandMm = parseLength(band.trim() === '' ? '10 ft' : band, leaderUnit(units));
		const count = Number(bands.replace(',', '.'));
		if (!bandMm.ok || !(count >= 0 && count <= 100)) return undefined;
		const frontMm = workout.fit.layers
			.slice(runningIndex + 1)
			.reduce((sum, layer) => sum + layer.lengthMm, 0);
		return castLengthMm({ frontMm, leaderMm: workout.leaderMm, bandMm: bandMm.value, bands: count });
	});
</script>

<p class="text-[14.5px] text-soft">
	Other heads, tips or lines over the same backing, and the gap that each one leaves.
</p>
<ul class="mt-2 divide-y divide-hair">
	{#each fill.swaps as swap, i (swap.id)}
		{@const result = workout?.swaps.find(({ id }) => id === swap.id)}
		<li class="grid gap-x-5 gap-y-2 py-3 sm:grid-cols-[1fr_9rem]" data-swap={swap.id}>
			<div class="space-y-2">
				<MadeFields {fit} list="swaps" index={i} role={roleOf(swap.of)}>
					{#snippet before()}
						<div class="min-w-0 flex-1">
							<Field
								label="{roleName(roleOf(swap.of))}, called"
								value={swap.note}
								placeholder="winter {ROLE_NAMES[roleOf(swap.of)]}"
								aside=""
								oninput={(value) => fit.change(({ fill }) => (fill.swaps[i]!.note = value.slice(0, 60)))}
							/>
						</div>
					{/snippet}
					{#snippet after()}
						<button
							type="button"
							class="grid size-7 place-items-center text-soft hover:text-ink"
							aria-label="Remove swap {i + 1}"
							onclick={() => fit.change(({ fill }) => fill.swaps.splice(i, 1))}><X size={15} /></button
						>
					{/snippet}
				</MadeFields>
			</div>
			<p class="figure self-end text-[15px]" data-swap-gap>
				{#if result && !fit.stale}
					<span class="block text-[13px] text-soft">gap with it on</span>
					<span class="text-[22px] leading-tight font-bold {result.fits ? '' : 'text-warn'}"
						>{showSmall(result.gapMm, units)}</span
					>
					{#if !result.fits}<span class="block text-[13px] text-warn">is above the rim</span>{/if}
				{/if}
			</p>
		</li>
	{/each}
</ul>
{#if fill.swaps.length < MAX_COMPONENTS}
	<div class="mt-2 flex flex-wrap gap-2">
		{#each swappable as part (part.id)}
			<button type="button" class="action-quiet" onclick={() => add(part)}
				><Plus size={15} />Another {ROLE_NAMES[part.role]}</button
			>
		{/each}
	</div>
{/if}

{#if runningIndex >= 0}
	<h3 class="mt-6 text-[15px] font-semibold">How far did the cast go?</h3>
	<div class="mt-1 grid grid-cols-[8rem_8rem_1fr] items-end gap-5">
		<Field label="Colours out" value={bands} placeholder="4" aside="" oninput={(value) => (bands = value)} />
		<Field label="each of" value={band} placeholder="10 ft" aside="" oninput={(value) => (band = value)} />
		{#if cast !== undefined}
			<p class="text-[16px]" data-cast>
				About <strong class="figure">{showLong(cast, units)}</strong>, which is
				{formatLength(cast, longUnit(units) === 'yd' ? 'ft' : 'm', 0)}: leader, head and tip, and the colours.
			</p>
		{/if}
	</div>
{/if}
