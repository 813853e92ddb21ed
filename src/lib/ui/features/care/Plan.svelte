<script lang="ts">
	import { usePreferences } from '../../state/preferences.svelte';
	import {
		dueBefore,
		JOB_NAMES,
		readDay,
		ROLE_NAMES,
		spread,
		workingDays,
		type Day,
		type Due,
		type StrandKind,
		type PlanItem
	} from '$lib/core';
	import { showDuration } from '$lib/wording/phrase';
	import Field from '../../primitives/Field.svelte';
	import NumberField from '../../primitives/NumberField.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import { showDay, showWeekday } from '$lib/wording/dates';

	/** Everything that is due before a day, in one sitting or over a working week, with how long it takes. */
	interface Props {
		today: Day;
		before: Day;
		week: boolean;
		/** Minutes of a day of that week. */
		minutes: number;
		things: readonly { id: string; label: string; kind: StrandKind; place: string; dues: readonly Due[] }[];
		onchange: (part: { before?: Day; week?: boolean; minutes?: number }) => void;
	}
	let { today, before, week, minutes, things, onchange }: Props = $props();
	const preferences = usePreferences();
	const items = $derived(dueBefore(things, before));
	const total = $derived(items.reduce((sum, item) => sum + item.minutes, 0));
	const byId = $derived(new Map(things.map((thing) => [thing.id, thing])));
	const planned = $derived(
		week
			? spread(items, workingDays(today), minutes)
			: { sittings: [{ day: today, items, minutes: total }], over: [] }
	);
	const places = (list: readonly PlanItem[]): [string, PlanItem[]][] =>
		[...new Set(list.map(({ place }) => place))].map((place) => [
			place,
			list.filter((item) => item.place === place)
		]);
</script>

<div class="no-print mt-4 flex flex-wrap items-end gap-x-6 gap-y-3">
	<div class="w-40">
		<Field
			label="Before"
			type="date"
			min={today.toString()}
			value={before.toString()}
			oninput={(value) => {
				const day = readDay(value);
				if (day) onchange({ before: day });
			}}
		/>
	</div>
	<div class="w-72">
		<Segmented
			label="As"
			options={[
				{ value: 'evening', label: 'one evening' },
				{ value: 'week', label: "a shop's week" }
			]}
			value={week ? 'week' : 'evening'}
			onchange={(as) => onchange({ week: as === 'week' })}
			shown
		/>
	</div>
	{#if week}
		<div class="w-32">
			<NumberField
				label="Minutes a day"
				value={minutes}
				min={10}
				max={600}
				onchange={(minutes) => minutes && onchange({ minutes })}
			/>
		</div>
	{/if}
	<button type="button" class="action-quiet min-h-10" onclick={() => window.print()}>Print</button>
</div>
<p class="mt-6 text-[18px]" role="status" data-plan-total>
	{#if items.length === 0}
		Nothing before {showDay(before, preferences.locale)}.
	{:else}
		<span class="figure text-[40px] leading-none font-bold tracking-tighter"
			><span class="px-1 marked">{showDuration(60 * total)}</span></span
		>
		<span class="ml-1"
			>{items.length === 1 ? '1 job' : `${items.length} jobs`} before {showDay(
				before,
				preferences.locale
			)}.</span
		>
	{/if}
</p>
{#snippet list(what: readonly PlanItem[], level: 'h2' | 'h3')}
	{#each places(what) as [place, on] (place)}
		<svelte:element this={level} class="mt-3 text-[16px] font-semibold">{place}</svelte:element>
		<ul>
			{#each on as { thing, job, minutes: takes, overdue, expectedOn }, i (i)}
				{@const one = byId.get(thing)}
				<li class="flex items-baseline gap-3 border-b border-hair py-1.5 text-[16px]" data-plan-item={job}>
					<svg width="14" height="14" viewBox="0 0 14 14" class="shrink-0 self-center" aria-hidden="true"
						><rect
							x="1"
							y="1"
							width="12"
							height="12"
							fill="none"
							stroke="var(--ink)"
							stroke-width="1.5"
						/></svg
					>
					<span class="min-w-0 flex-1"
						>{JOB_NAMES[job]}
						<a class="text-soft hover:underline" href="/care?thing={encodeURIComponent(thing)}"
							>{one?.label}, {one ? ROLE_NAMES[one.kind] : ''}</a
						></span
					>
					<span class="figure text-[14px] text-soft"
						>{overdue ? 'due' : expectedOn ? `about ${showDay(expectedOn, preferences.locale)}` : ''}</span
					>
					<span class="figure w-14 text-right">{takes} min</span>
				</li>
			{/each}
		</ul>
	{/each}
{/snippet}
{#each planned.sittings as { day, items: sitting, minutes: takes } (day)}
	{#if sitting.length > 0}
		<section class="mt-5 break-inside-avoid border-t-2 border-ink pt-2" data-sitting={day}>
			{#if week}
				<h2 class="flex justify-between text-[19px] font-semibold">
					{showWeekday(day, preferences.locale)}, {showDay(day, preferences.locale)}
					<span class="figure font-normal">{takes} min</span>
				</h2>
			{/if}
			{@render list(sitting, week ? 'h3' : 'h2')}
		</section>
	{/if}
{/each}
{#if planned.over.length > 0}
	<section class="mt-6 border-t-2 border-warn pt-2" data-over>
		<h2 class="text-[19px] font-semibold text-warn">
			There is no time for these. Allow more minutes a day, or more days
		</h2>
		{@render list(planned.over, 'h3')}
	</section>
{/if}
