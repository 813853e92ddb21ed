<script lang="ts">
	import { dayOf, formatNumber } from '$lib/core';
	import type { BeforeNow, LearntAnswer } from '$lib/inventory/learnt';
	import { showDay } from '$lib/wording/dates';
	import { showSmall } from '$lib/wording/units';
	import { send, troubleOf } from '../../state/api';
	import { rememberChange } from '../../state/undo.svelte';
	import { notify } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import BeforeNowBar from './BeforeNowBar.svelte';
	import { refreshAll } from '../../state/refresh';

	interface Props {
		told: LearntAnswer;
		onchanged: () => void;
	}
	let { told, onchanged }: Props = $props();
	const preferences = usePreferences();

	const mm = (value: number): string => showSmall(value, preferences.units);
	/** A share against what is usual: "3 % more". */
	const against =
		(more: string, less: string) =>
		(share: number): string => {
			const percent = Math.round(100 * (share - 1));
			return percent === 0
				? 'as usual'
				: `${formatNumber(Math.abs(percent), 0)} % ${percent > 0 ? more : less}`;
		};
	const room = against('more', 'less');
	const tightness = against('tighter', 'looser');
	const times = (ids: readonly string[]): string =>
		ids.length === 1 ? '1 winding' : `${ids.length} windings`;

	const CELLS = 'grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3';

	async function count(recordId: string, counts: boolean): Promise<void> {
		const put = (now: boolean) => send('PUT', '/api/learnt', { recordId, counts: now });
		const trouble = troubleOf(await put(counts), counts ? 'It is still left out' : 'It still counts');
		if (trouble !== undefined) return notify(trouble);
		onchanged();
		rememberChange({
			said: counts ? 'A winding counts again.' : 'A winding is left out.',
			undo: () => put(!counts),
			redo: () => put(counts),
			stays: 'It is as you changed it',
			refresh: refreshAll
		});
	}
</script>

{#snippet title(label: string, windings: readonly string[])}
	<p class="flex flex-wrap justify-between gap-x-4">
		<span class="font-semibold">{label}</span>
		<span class="figure text-[14px] text-soft">from {times(windings)}</span>
	</p>
{/snippet}

{#snippet cell(name: string, of: BeforeNow | undefined, show: (value: number) => string)}
	{#if of}
		<div>
			<p class="text-[13.5px] text-soft">{name}</p>
			<BeforeNowBar {of} {show} />
		</div>
	{/if}
{/snippet}

<div class="mx-auto max-w-[1100px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">What Wendle has learnt</h1>
	{#if told.windings.length === 0}
		<p class="mt-3 max-w-[60ch] text-[17px]">
			Nothing yet. When you finish a winding, type in the turns, the depth and the gap that you read. From
			those readings Wendle learns the true size of your spools, how much room your lines and backings take,
			and how tightly each person winds. Your next plan starts from there.
		</p>
		<p class="mt-5"><a class="action" href="/">Go to the rack</a></p>
	{:else}
		<p class="mt-2 max-w-[70ch] text-[16px]">
			Every new plan starts from these numbers. Wendle works them out from all your windings together. The
			grey bar shows what Wendle assumed before you wound anything. The green bar shows the range now, 9 times
			out of 10.
		</p>

		{#if !told.converged}
			<p class="mt-3 max-w-[70ch] text-[16px] text-warn" role="status">
				These windings contradict each other so much that Wendle can't settle on numbers, and plans don't use
				them. Leave out the windings that went wrong.
			</p>
		{/if}

		<h2 class="mt-7 text-[19px] font-bold">People</h2>
		<p class="text-[14.5px] text-soft">How tightly each person winds, compared with an ordinary hand.</p>
		<ul class="mt-1" data-learnt="winders">
			{#each told.winders as { who, backing, lines, windings } (who)}
				<li class="border-t border-hair py-2">
					{@render title(who || 'Nobody named', windings)}
					<div class={CELLS}>
						{@render cell('Backing', backing, tightness)}
						{@render cell('Lines', lines, tightness)}
					</div>
				</li>
			{/each}
		</ul>

		<h2 class="mt-7 text-[19px] font-bold">Spools</h2>
		<p class="text-[14.5px] text-soft">The true size, compared with what you measured or read off the box.</p>
		<ul class="mt-1" data-learnt="spools">
			{#each told.spools as { spoolId, name, rimMm, arborMm, widthMm, windings } (spoolId)}
				<li class="border-t border-hair py-2">
					{@render title(name, windings)}
					<div class={CELLS}>
						{@render cell('Rim', rimMm, mm)}
						{@render cell('Arbor', arborMm, mm)}
						{@render cell('Width', widthMm, mm)}
					</div>
				</li>
			{/each}
		</ul>

		<h2 class="mt-7 text-[19px] font-bold">Lines and backings</h2>
		<p class="text-[14.5px] text-soft">
			The room each one takes on a spool, compared with its table or its nominal thickness.
		</p>
		<ul class="{CELLS} mt-1" data-learnt="strands">
			{#each told.strands as { strand, label, where, room: takes, windings } (strand)}
				<li class="border-t border-hair py-2">
					{@render title(label, windings)}
					{@render cell(where, takes, room)}
				</li>
			{/each}
		</ul>

		<h2 class="mt-7 text-[19px] font-bold">The next one of its kind</h2>
		<p class="text-[14.5px] text-soft">The room to expect of a line or backing that you haven't wound yet.</p>
		<ul class="{CELLS} mt-1" data-learnt="kinds">
			{#each told.kinds as { kind, room: takes, windings } (kind)}
				<li class="border-t border-hair py-2">
					{@render title(kind, windings)}
					{@render cell('', takes, room)}
				</li>
			{/each}
		</ul>

		<h2 class="mt-7 text-[19px] font-bold">Windings behind it</h2>
		<p class="max-w-[70ch] text-[14.5px] text-soft">
			Leave a winding out if something went wrong with it. It stays on the rack, and you can count it again.
		</p>
		<ul class="mt-1" data-learnt="windings">
			{#each told.windings as { recordId, setupId, spool, woundOn, who, counts, odd } (recordId)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hair py-1.5">
					<a class="underline {counts ? '' : 'opacity-60'}" href="/bench/{setupId}/past"
						>{spool}, {showDay(dayOf(woundOn), preferences.locale)}{who ? `, by ${who}` : ''}</a
					>
					{#if !counts}
						<span class="text-[14px] text-soft">left out</span>
					{:else if odd}
						<span class="text-[14px] text-warn">A reading here doesn't fit the others. It hardly counts.</span
						>
					{/if}
					<button type="button" class="ml-auto action-quiet" onclick={() => void count(recordId, !counts)}
						>{counts ? 'Leave out' : 'Count again'}</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</div>
