<script lang="ts">
	import { goto } from '$app/navigation';
	import { ROLE_NAMES, ROLES } from '$lib/core';
	import { insteadOf, isStrand, swapped, woundNow, type Goes, type SwapChoice } from '$lib/inventory/swap';
	import { showSmall } from '$lib/wording/units';
	import { wordIssue } from '$lib/wording/issues';
	import { workOut } from '$lib/setup/evaluate-form';
	import X from '@lucide/svelte/icons/x';
	import SpoolGlyph from '../../charts/section/SpoolGlyph.svelte';
	import { plannedLayers, woundLayers } from '../../charts/section/layers';
	import { strandsOf } from '../../charts/thread/strands';
	import ThreadRow from '../paper/ThreadRow.svelte';
	import Select from '../../primitives/Select.svelte';
	import { troubleOf } from '../../state/api';
	import { made, rememberChange } from '../../state/undo.svelte';
	import { plannedSwap } from '../../state/answers';
	import { Write } from '../../state/write';
	import { getNoticesReady } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import GoesOn, { type Going } from './GoesOn.svelte';

	/** A swap is planned here, and done at the bench. */
	let { choice }: { choice: SwapChoice } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	$effect(() => void getNoticesReady());

	const now = $derived(choice.now);
	const wound = $derived(woundNow(now));
	const stack = $derived(now.record.form.fill.stack.slice(0, now.still));
	/** Strands that could come off: everything but what is undermost. */
	const strands = $derived(stack.filter(isStrand));
	let kept = $state<number>();
	/** To begin with the outermost comes off, where something lies under it. */
	const keep = $derived(Math.min(kept ?? Math.max(1, strands.length - 1), Math.max(strands.length, 1)));
	const names = $derived(
		wound?.workout.parts.map(({ role, short }) => `${ROLE_NAMES[role]} (${short})`) ?? []
	);
	const offOptions = $derived(
		strands
			.map((_, i) => {
				const off = names.slice(i + 1, strands.length).reverse();
				return { value: i + 1, label: off.length === 0 ? 'nothing' : off.join(', ') };
			})
			.reverse()
	);

	let going = $state<readonly Going[]>([]);
	const goes = $derived(going.map(({ component }): Goes => component));
	const to = $derived(going.length > 0 ? swapped(now, keep, goes, units) : undefined);
	/** From the inside out. */
	const order = ({ component }: Going): number => ROLES.indexOf(component.role);
	/** What is chosen, with one thing more: one of each kind, each in its place. */
	const withOne = (one: Going): Going[] =>
		[...going.filter(({ component: { role } }) => !insteadOf(one.component.role).includes(role)), one].sort(
			(a, b) => order(a) - order(b)
		);
	function gapWith(one: Going): { gapMm: number; fits: boolean } | undefined {
		const then = swapped(
			now,
			keep,
			withOne(one).map(({ component }) => component),
			units
		);
		return then.ok ? then.value : undefined;
	}
	const after = $derived.by(() => {
		if (!to?.ok) return undefined;
		const worked = workOut(to.value.form, units);
		return worked.ok && worked.value.fit.fits ? worked.value : undefined;
	});
	const SCALE = 3.4;
	/** A gap smaller than this is tight: it may rub when a turn lies proud. */
	const TIGHT_MM = 2;
	/** The gap as it is with everything on. */
	const gapNow = $derived(
		wound && now.still === wound.workout.parts.length
			? (now.record.gapMm ?? wound.spool.gapFromRadiusMm - wound.surfacesMm.at(-1)!)
			: undefined
	);

	let trouble = $state<string>();
	let busy = $state(false);
	const write = new Write();
	async function plan(): Promise<void> {
		if (busy) return;
		busy = true;
		const reply = await write.send(
			'POST',
			'/api/swaps',
			{
				spoolId: choice.spool.id,
				keep,
				on: going.map(({ keptId, component: { role, made, length, note } }) =>
					keptId === undefined ? { role, made, length, note } : { kept: keptId }
				)
			},
			plannedSwap
		);
		busy = false;
		trouble = troubleOf(reply, 'What you chose stays here');
		if (reply.kind !== 'ok') return;
		const { setupId } = reply.value;
		rememberChange({
			said: `A swap on ${choice.spool.name || 'the spool'} is planned.`,
			...made(`/api/setups/${setupId}`),
			stays: 'The swap is still planned',
			refresh: () => goto('/', { invalidateAll: true })
		});
		await goto(`/bench/${setupId}`);
	}
</script>

<div class="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
	<div>
		<section aria-labelledby="off" class="border-t-2 border-ink pt-3">
			<h2 id="off" class="text-[19px] font-semibold">Comes off</h2>
			<div class="mt-1 max-w-md">
				<Select
					label="From the outside in"
					options={offOptions}
					value={keep}
					onchange={(value) => (kept = value)}
				/>
			</div>
			{#if keep < strands.length}
				<p class="mt-2 max-w-[60ch] text-[15px] text-soft">
					Wind it on to a storage spool that turns, rear end last. Nothing to put on now?
					<a class="text-ink underline" href="/bench/{now.record.setupId}?job=off.{keep}">Only take it off</a
					>. Do you use it often? Leave it on, and put the other line on
					<a class="text-ink underline" href="/fit/new?like={choice.spool.id}">a spare spool like this one</a
					>.
				</p>
			{/if}
		</section>
		<section aria-labelledby="on" class="mt-8 border-t-2 border-ink pt-3">
			<h2 id="on" class="text-[19px] font-semibold">Goes on</h2>
			{#if going.length > 0}
				<ol class="mt-2" data-going>
					{#each going as { label, where, component }, i (i)}
						<li class="flex items-center gap-3 border-b border-hair py-1.5 text-[16px]">
							<b>{label}</b>
							<span class="text-soft">{ROLE_NAMES[component.role]}{where ? `, ${where}` : ''}</span>
							<button
								type="button"
								class="ml-auto grid size-9 place-items-center text-soft hover:text-ink"
								aria-label="{label} stays where it is"
								onclick={() => (going = going.filter((_, at) => at !== i))}><X size={16} /></button
							>
						</li>
					{/each}
				</ol>
			{/if}
			<GoesOn
				{choice}
				like={strands.slice(keep).at(-1)?.role}
				taken={going.flatMap(({ keptId }) => (keptId === undefined ? [] : [keptId]))}
				{gapWith}
				under={going.some(({ component: { role } }) => role === 'running-line')
					? 'running-line'
					: strands[keep - 1]?.role}
				onadd={(one) => (going = withOne(one))}
			/>
		</section>
	</div>
	<aside aria-label="The gap" class="lg:sticky lg:top-4 lg:self-start">
		<p class="text-[13px] text-soft">{to ? 'Gap with it on' : 'Gap as it is now'}</p>
		<p class="figure leading-none" aria-live="polite">
			{#if to?.ok}
				<span
					class="px-1 text-[64px] font-bold tracking-tighter {to.value.fits ? 'marked' : 'text-warn'}"
					data-gap-then>{showSmall(to.value.gapMm, units)}</span
				>
			{:else if gapNow !== undefined}
				<span class="text-[64px] font-bold tracking-tighter" data-gap-now>{showSmall(gapNow, units)}</span>
			{:else}
				<span class="text-[28px] font-semibold"
					>nothing on top of the {ROLE_NAMES[strands.at(-1)?.role ?? 'backing']}</span
				>
			{/if}
		</p>
		{#if to?.ok && gapNow !== undefined}
			<p class="figure mt-1 text-[15px] text-soft">now {showSmall(gapNow, units)}</p>
		{/if}
		<p class="mt-2 max-w-[44ch] text-[16px]" data-swap-says>
			{#if !to}
				Choose what goes on.
			{:else if !to.ok}
				{wordIssue(to.issues[0]!, units).message}
			{:else if !to.value.fits}
				That is too much for this spool on top of what stays. Take more off, or use another spool.
			{:else if to.value.gapMm < TIGHT_MM}
				It goes on, but it's tight. Wind it level, and check the gap before you fish.
			{:else}
				It goes on top of what is there. You don't have to cut or add anything.
			{/if}
		</p>
		<div class="mt-4">
			{#if after}
				<SpoolGlyph spool={after.known.spool} layers={plannedLayers(after)} scale={SCALE} faint />
				<div class="mt-2 max-w-56"><ThreadRow strands={strandsOf(after)} /></div>
			{:else if wound}
				<SpoolGlyph
					spool={wound.spool}
					layers={woundLayers(wound, now.record.turns).slice(0, now.still)}
					scale={SCALE}
				/>
				<div class="mt-2 max-w-56"><ThreadRow strands={strandsOf(wound.workout).slice(0, now.still)} /></div>
			{/if}
		</div>
		{#if trouble}<p role="alert" class="mt-3 text-[15px] text-warn">{trouble}</p>{/if}
		<button
			type="button"
			class="mt-5 action"
			disabled={busy || !to?.ok || !to.value.fits}
			onclick={() => void plan()}>Take it to the bench</button
		>
	</aside>
</div>
