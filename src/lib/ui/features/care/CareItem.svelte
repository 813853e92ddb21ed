<script lang="ts">
	import { JOB_NAMES, ROLE_NAMES, twistVerdict } from '$lib/core';
	import type { CareRow, Moment } from '$lib/inventory/care-rows';
	import { showSmall } from '$lib/wording/units';
	import Lane from '../../charts/timeline/Lane.svelte';
	import type { TimeView } from '../../charts/timeline/view.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import OtherEvents from './OtherEvents.svelte';
	import { DONE, dueText, momentText, twistText } from './words';
	import type { Write } from '../../state/writing';

	/** One thing: its life, how it is, what is due. */
	interface Props {
		row: CareRow;
		moments: readonly Moment[];
		view: TimeView;
		today: number;
		mostTwist: number;
		write: Write;
		onkey: (key: string, shift: boolean) => boolean;
		/** Its history is shown from the start. */
		open: boolean;
	}
	let { row, moments, view, today, mostTwist, write, onkey, open }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const { kept, where, state: now, dues } = $derived(row);
	const twists = $derived(kept.kind !== 'backing');
	const due = $derived(dues.some(({ overdue }) => overdue));
	/** On a phone only what is due is shown to begin with. */
	let picked = $state<boolean>();
	const unfolded = $derived(picked ?? open);
	const folds = $derived(unfolded ? '' : 'max-sm:hidden');
	const done = (event: Readonly<Record<string, unknown>>, said: string): Promise<boolean> =>
		write([{ keptId: kept.id, event }], said);
</script>

<li
	class="grid gap-x-8 gap-y-1 border-t border-hair py-1.5 first:border-0 sm:py-2 lg:grid-cols-[19rem_minmax(0,1fr)]"
	data-kept={kept.id}
>
	<div>
		<h3 class="flex items-baseline gap-x-3 text-[17px] leading-tight font-semibold">
			<a class="hover:underline" href="/care?thing={encodeURIComponent(kept.id)}">{kept.label}</a>
			<button
				type="button"
				class="ml-auto min-h-6 text-[14px] font-normal underline sm:hidden"
				aria-expanded={unfolded}
				aria-label="{unfolded ? 'Less' : 'More'} about {kept.label}"
				onclick={() => (picked = !unfolded)}>{unfolded ? 'Less' : 'More'}</button
			>
		</h3>
		<p class="figure text-[14px] text-soft">
			{ROLE_NAMES[kept.kind]}<span class={row.spoolId === null ? '' : 'sr-only'}>, {where}</span>, {now.daysOut ===
			1
				? '1 day'
				: `${now.daysOut} days`} out{#if now.saltDays > 0}, {now.saltDays} in salt{/if}{#if twists},
				{twistText(row.perMetre.mean)}{/if}{#if now.gapMm !== undefined}, gap {showSmall(
					now.gapMm,
					units
				)}{/if}{#if now.tug !== undefined && now.tug !== 'passed'}, tug test {now.tug}{/if}
		</p>
		<p class="no-print flex flex-wrap gap-x-4 text-[15px] {folds}">
			{#if twists && twistVerdict(row.perMetre.mean) !== 'none'}
				<a class="underline" href="/twist?line={encodeURIComponent(kept.id)}">Take the twist out</a>
			{/if}
			{#if row.spoolId === null && !row.retired}
				<a class="underline" href="/label/coil?of={encodeURIComponent(kept.id)}">Print its label</a>
			{:else if row.spoolId !== null && twists}
				<a class="underline" href="/swap?spool={row.spoolId}">Swap</a>
			{/if}
		</p>
	</div>
	<div class="min-w-0">
		<div class={due || unfolded ? '' : 'max-sm:hidden'}>
			<Lane
				{view}
				role={kept.kind}
				{moments}
				{dues}
				{today}
				{mostTwist}
				{twists}
				name={kept.label}
				say={(moment) => momentText(moment, units, twists, preferences.locale)}
				gap={(mm) => showSmall(mm, units)}
				{onkey}
			/>
		</div>
		<ul>
			{#each dues as due, i (i)}
				<li
					class="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-hair py-0.5 {due.overdue
						? ''
						: folds}"
					data-due={due.job}
					data-overdue={due.overdue || undefined}
				>
					<span class="min-w-0 flex-1 text-[16px] {due.overdue ? 'font-semibold' : ''}">
						{#if due.overdue}<span class="px-1 marked">{JOB_NAMES[due.job]}</span>{:else}{JOB_NAMES[
								due.job
							]}{/if}
						<span class="figure ml-2 text-[14px] font-normal text-soft"
							>{dueText(due, preferences.locale)}</span
						>
					</span>
					{#if due.job === 'tug-test'}
						{#each ['failed', 'doubtful'] as const as result (result)}
							<button
								type="button"
								class="action-quiet min-h-9"
								onclick={() =>
									void done(
										{ kind: 'tug-test', result },
										result === 'failed'
											? `${kept.label}: it failed. Replace it before you fish.`
											: `${kept.label}: doubtful. Cut back and test again.`
									)}>{result === 'failed' ? 'Failed' : 'Doubtful'}</button
							>
						{/each}
					{/if}
					<button
						type="button"
						class={due.overdue ? 'action min-h-9' : 'action-quiet min-h-9'}
						onclick={() => void done(DONE[due.job].event, `${kept.label}: saved.`)}
						>{DONE[due.job].name}</button
					>
				</li>
			{/each}
		</ul>
		<div class={folds}><OtherEvents {kept} {write} {open} changed={row.history} /></div>
	</div>
</li>
